export interface Place {
  readonly href: string;
  readonly name: string;
}
