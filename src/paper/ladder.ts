import type { Rung } from '@/core/ladder';
import type { Block, Mark } from '@/core/print';
import { sayRung } from '@/words';
import { measure } from './fonts';
import { shortened, type Setting } from './setting';
import { tempoMarks } from './tempo';

/** Rungs as boxes to tick by hand, lowest first; those that are passed are ticked.
 * @param rung where the ladder stands  @param beatTicks what its tempi count */
export function ladderBlock(
  { say, text, small, width }: Setting,
  rungs: readonly Rung[],
  rung: number,
  beatTicks: number,
): Block {
  const box = text * 1.7;
  const gap = text * 0.5;
  const down = box + small * 1.5 + gap;
  const marks: Mark[] = [];
  const note = tempoMarks(beatTicks, rungs[0]?.bpm ?? 0, small);
  marks.push({ kind: 'group', x: 0, y: small, scale: 1, marks: note.marks.slice(0, 1) });
  let x = text * 1.2;
  let y = 0;
  rungs.forEach((one, index) => {
    const label = shortened(sayRung(say, one.asks), 'text', small, width / 2);
    const wide = Math.max(box, measure('text', small, label));
    if (x + wide > width) {
      x = text * 1.2;
      y += down;
    }
    const left = x + (wide - box) / 2;
    const at = { x: x + wide / 2, y: y + small };
    const face = index === rung ? 'strong' : 'text';
    const top = y + small * 1.4;
    marks.push(
      { kind: 'text', ...at, text: label, size: small, face, align: 'middle' },
      {
        kind: 'path',
        path: `M${left} ${top}h${box}v${box}h${-box}Z`,
        pen: index === rung ? 1.3 : 0.6,
      },
    );
    if (index < rung) {
      const tick = `M${left + box * 0.22} ${top + box * 0.55}l${box * 0.2} ${box * 0.22}l${box * 0.38} ${-box * 0.5}`;
      marks.push({ kind: 'path', path: tick, pen: 1.1 });
    }
    x += wide + gap;
  });
  return { height: y + down, marks, gap: text * 0.3 };
}
