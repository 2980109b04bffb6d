import type { Box, GlyphId } from '../notation';

/** Papers, in points: width and height, upright (ISO 216; ANSI Letter). */
export const PAPERS = { a4: [595.28, 841.89], letter: [612, 792] } as const;

export type PaperId = keyof typeof PAPERS;

/** Faces of type; the paper has one file or more for each, the screen a family of its own. */
export type FaceId = 'text' | 'strong' | 'title' | 'italic';

/** What stands on a page, in points from its top left corner, or in the units of its group. */
export type Mark =
  | {
      readonly kind: 'text';
      /** The left end, middle or right end of its base line. */
      readonly x: number;
      readonly y: number;
      readonly text: string;
      readonly size: number;
      readonly face: FaceId;
      readonly align?: 'middle' | 'right';
      readonly soft?: boolean;
    }
  | {
      readonly kind: 'glyph';
      readonly glyph: GlyphId;
      readonly x: number;
      readonly y: number;
      readonly size?: number;
    }
  | { readonly kind: 'boxes'; readonly boxes: readonly Box[] }
  /** An outline, filled, or drawn with a pen of a width. */
  | { readonly kind: 'path'; readonly path: string; readonly pen?: number; readonly soft?: boolean }
  | {
      readonly kind: 'group';
      readonly x: number;
      readonly y: number;
      readonly scale: number;
      readonly marks: readonly Mark[];
    };

export interface Page {
  readonly paper: PaperId;
  readonly marks: readonly Mark[];
}
