import { USUAL_COURSE, type Course, type Ladder } from '../ladder';

/** A usual way to work on something, as a start that a teacher changes. Common practice, no source. */
export interface CourseTemplate {
  readonly id: string;
  readonly name: string;
  readonly course: Course;
}

function template(
  id: string,
  name: string,
  ladder: Ladder,
  more: Partial<Course> = {},
): CourseTemplate {
  return { id, name, course: { ...USUAL_COURSE, ladder, ...more } };
}

export const COURSE_TEMPLATES: readonly CourseTemplate[] = [
  template('usual', 'usual: 60 → 100 by 5', { kind: 'fixed', start: 60, target: 100, step: 5 }),
  template('counting', 'new counting: 80, back to 50, up again', {
    kind: 'list',
    tempi: [80, 50, 55, 60, 65, 70, 75, 80],
  }),
  template('growing', 'growing steps: 40 → 120', {
    kind: 'list',
    tempi: [40, 44, 50, 58, 68, 80, 94, 110, 120],
  }),
  template('wave', 'wave: 100, 80, 110, 120', { kind: 'list', tempi: [100, 80, 110, 120] }),
  template('control', 'control: 70 throughout', { kind: 'fixed', start: 70, target: 70, step: 5 }),
  template(
    'stamina',
    'stamina: 90 for longer and longer',
    { kind: 'hold', bpm: 90, from: 2, to: 8, by: 1 },
    { rule: { clean: 1, lost: 2, plateau: 4 } },
  ),
  template('zigzag', 'two up, one down: 60 → 100', {
    kind: 'two-up',
    start: 60,
    target: 100,
    step: 5,
  }),
  template(
    'rudiment',
    'rudiment: 300 strokes a try',
    { kind: 'percent', start: 60, target: 140, percent: 5 },
    { dosage: { kind: 'strokes', amount: 300 } },
  ),
];
