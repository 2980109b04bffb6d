import { FamilyJudge, foldMembers, openFamily, type Axis, type OpenedFamily } from '@/core/family';
import { must } from '@/core/issue';
import { findShipped, SHIPPED_LINES, SHIPPED_OSTINATOS } from '@/core/materials';
import { blankRecipe, startOf, toggleOstinato, type Change } from '@/core/recipe';
import { bpm } from '@/core/time';

export const AT = bpm(80);
const DISPLACED: Change = { kind: 'displace', what: 'pattern', part: 'line', by: 1, slot: '32' };
const KINDS = ['verbatim', 'short-long', 'accents-16ths', 'line-doubled'] as const;

/** Ostinatos by lines by interpretations by displacements, of about this many members. */
export function familyOfSize(size: number): OpenedFamily {
  const lines = Object.entries(SHIPPED_LINES)
    .filter(([, line]) => line.meter === '4/4')
    .slice(0, 16);
  const ostinatos = Object.entries(SHIPPED_OSTINATOS)
    .filter(([, one]) => one.meter === '4/4' && !one.swung)
    .slice(0, Math.max(5, Math.ceil(size / (lines.length * KINDS.length * 64))))
    .map(([id]) => id);
  const perLine = ostinatos.length * KINDS.length;
  const displacements = Math.ceil(size / (perLine * lines.length));
  const axes: Axis[] = [
    {
      at: 'over',
      index: 0,
      values: ostinatos.flatMap((id) => {
        const content = findShipped('ostinato', id)?.content;
        return content
          ? [{ id, version: 1, content: { ...content, lanes: [...content.lanes] } }]
          : [];
      }),
    },
    {
      at: 'play',
      values: lines.map(([id, { name, text }]) => ({ id, version: 1, content: { name, text } })),
    },
    {
      at: 'as',
      values: KINDS.map(startOf),
    },
    {
      at: 'change',
      index: 0,
      values: [{ kind: 'numbers', change: DISPLACED, field: 'by', from: 0, to: displacements - 1 }],
    },
  ];
  return must(openFamily({ base: toggleOstinato(blankRecipe(), 'rock-8ths'), axes }));
}

/** Takes this many members: expanded, read for difficulty and hindrances, told from their twins. */
export function judge(family: OpenedFamily, count: number): number {
  if (family.size < count) throw new Error(`only ${family.size} members`);
  return foldMembers(new FamilyJudge(family, AT).take(count).played).length;
}
