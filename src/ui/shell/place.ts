/** Screens that the bars lead to. */
export type PlaceId =
  | 'bench'
  | 'variations'
  | 'materials'
  | 'programs'
  | 'students'
  | 'today'
  | 'plan'
  | 'record';

export interface Place {
  readonly href: string;
  readonly id: PlaceId;
}
