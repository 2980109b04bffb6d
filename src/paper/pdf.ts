import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import PDFDocument from 'pdfkit';
import type { GlyphId } from '@/core/notation';
import { PAPERS, type Mark, type Page } from '@/core/print';
import { runsOf } from './fonts';

type Pdf = InstanceType<typeof PDFDocument>;

/** Grey that a black-and-white printer still sets clearly. */
const SOFT = '#4a4a4a';
const INK = '#000000';

let outlines: ReadonlyMap<string, string> | null = null;

/** The outlines of the music font, as screens have them. */
function outlineOf(glyph: GlyphId): string {
  if (!outlines) {
    const svg = readFileSync(join(process.cwd(), 'public', 'notation.svg'), 'utf8');
    const found = svg.matchAll(/<path id="([^"]+)" d="([^"]+)"/g);
    outlines = new Map([...found].map(([, id = '', path = '']) => [id, path]));
  }
  const path = outlines.get(glyph);
  if (path === undefined) throw new Error(`no outline of ${glyph}`);
  return path;
}

/** Writes pages as a PDF, all of it in outlines and type. Pages may come one after the other.
 * @param title of the document, for whoever opens it */
export class PdfWriter {
  private readonly pdf: Pdf;
  private readonly chunks: Buffer[] = [];
  private readonly ended: Promise<void>;

  constructor(title: string, lang: string) {
    this.pdf = new PDFDocument({
      autoFirstPage: false,
      margin: 0,
      lang,
      displayTitle: true,
      info: { Title: title },
      font: '',
    });
    this.pdf.on('data', (chunk: Buffer) => this.chunks.push(chunk));
    this.ended = new Promise((done) => this.pdf.on('end', done));
  }

  add(pages: readonly Page[]): void {
    for (const { paper, marks } of pages) {
      this.pdf.addPage({ size: [...PAPERS[paper]], margin: 0 });
      for (const mark of marks) this.draw(mark);
    }
  }

  async end(): Promise<Buffer> {
    this.pdf.end();
    await this.ended;
    return Buffer.concat(this.chunks);
  }

  private draw(mark: Mark): void {
    const { pdf } = this;
    switch (mark.kind) {
      case 'text':
        this.text(mark);
        return;
      case 'boxes':
        for (const [left, top, right, bottom] of mark.boxes) {
          pdf.rect(left, top, right - left, bottom - top);
        }
        if (mark.boxes.length > 0) pdf.fill(INK);
        return;
      case 'glyph':
        pdf.save().translate(mark.x, mark.y);
        if (mark.size !== undefined) pdf.scale(mark.size);
        pdf.path(outlineOf(mark.glyph)).fill(INK).restore();
        return;
      case 'path': {
        const ink = mark.soft ? SOFT : INK;
        pdf.path(mark.path);
        if (mark.pen === undefined) pdf.fill(ink);
        else pdf.lineWidth(mark.pen).stroke(ink);
        return;
      }
      case 'group':
        pdf.save().translate(mark.x, mark.y).scale(mark.scale);
        for (const inner of mark.marks) this.draw(inner);
        pdf.restore();
    }
  }

  private text({ x, y, text, size, face, align, soft }: Extract<Mark, { kind: 'text' }>): void {
    const runs = runsOf(face, text);
    const width = runs.reduce((sum, run) => sum + run.width * size, 0);
    const share = { middle: 0.5, right: 1 };
    let left = x - (align ? share[align] * width : 0);
    this.pdf.fillColor(soft ? SOFT : INK);
    for (const run of runs) {
      this.setFont(run.path);
      this.pdf.fontSize(size).text(run.text, left, y, { baseline: 'alphabetic', lineBreak: false });
      left += run.width * size;
    }
  }

  private readonly known = new Set<string>();

  private setFont(path: string): void {
    if (!this.known.has(path)) {
      this.pdf.registerFont(path, path);
      this.known.add(path);
    }
    this.pdf.font(path);
  }
}
