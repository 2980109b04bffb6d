import { USUAL_COURSE, type Course, type Ladder } from '../ladder';

type CourseTemplateId =
  | 'usual'
  | 'counting'
  | 'growing'
  | 'wave'
  | 'control'
  | 'stamina'
  | 'zigzag'
  | 'rudiment';

/** A usual way to work on something, as a start that a teacher changes. Common practice, no source. */
export interface CourseTemplate {
  readonly id: CourseTemplateId;
  readonly course: Course;
}

function template(
  id: CourseTemplateId,
  ladder: Ladder,
  more: Partial<Course> = {},
): CourseTemplate {
  return { id, course: { ...USUAL_COURSE, ladder, ...more } };
}

export const COURSE_TEMPLATES: readonly CourseTemplate[] = [
  template('usual', { kind: 'fixed', start: 60, target: 100, step: 5 }),
  template('counting', {
    kind: 'list',
    tempi: [80, 50, 55, 60, 65, 70, 75, 80],
  }),
  template('growing', {
    kind: 'list',
    tempi: [40, 44, 50, 58, 68, 80, 94, 110, 120],
  }),
  template('wave', { kind: 'list', tempi: [100, 80, 110, 120] }),
  template('control', { kind: 'fixed', start: 70, target: 70, step: 5 }),
  template(
    'stamina',
    { kind: 'hold', bpm: 90, from: 2, to: 8, by: 1 },
    { rule: { clean: 1, lost: 2, plateau: 4 } },
  ),
  template('zigzag', {
    kind: 'two-up',
    start: 60,
    target: 100,
    step: 5,
  }),
  template(
    'rudiment',
    { kind: 'percent', start: 60, target: 140, percent: 5 },
    { dosage: { kind: 'strokes', amount: 300 } },
  ),
];
