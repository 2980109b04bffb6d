'use client';

import { useState } from 'react';
import { USUAL_COURSE, type Course } from '@/core/ladder';
import { COURSE_TEMPLATES, type OutlineItem, type OutlineSection } from '@/core/program';
import { TICKS_PER_QUARTER } from '@/core/time';
import { Button, Choice, useSpeech } from '../base';
import { CourseFields } from './course-fields';
import { sayCourse } from './say-course';

/** What is done to all chosen items at once. */
export function BulkBar({
  chosen,
  items,
  sections,
  onCourse,
  onMove,
  onRemove,
  onClear,
}: {
  chosen: readonly OutlineItem[];
  items: readonly OutlineItem[];
  sections: readonly OutlineSection[];
  onCourse: (course: Course) => void;
  onMove: (sectionId: string) => void;
  onRemove: () => void;
  onClear: () => void;
}) {
  const { say } = useSpeech();
  const [course, setCourse] = useState(chosen[0]?.course ?? USUAL_COURSE);
  const [open, setOpen] = useState(false);
  const options = [
    ...COURSE_TEMPLATES.map(({ id }) => ({
      value: id as string,
      text: say.t(`screen.programs.courseTemplate.${id}`),
    })),
    ...items.map(({ id, name, course: own }) => ({
      value: id as string,
      text: say.t('screen.programs.as', { name }),
      hint: sayCourse(say, own),
    })),
  ];

  function take(id: string) {
    const found =
      COURSE_TEMPLATES.find((one) => one.id === id) ?? items.find((one) => one.id === id);
    if (found) onCourse(found.course);
  }

  return (
    <div
      role="region"
      aria-label={say.t('screen.programs.chosenItems')}
      className="sticky bottom-0 z-10 border-t-2 border-warm bg-paper py-2"
    >
      <div className="flex flex-wrap items-center gap-3">
        <b role="status">{say.t('screen.programs.chosenCount', { count: chosen.length })}</b>
        <Choice
          label={say.t('screen.programs.ladderForAllChosen')}
          options={options}
          className="phrase"
          onChoose={take}
          wide
        >
          {say.t('screen.programs.ladder')}
        </Choice>
        <Button aria-expanded={open} onClick={() => setOpen(!open)}>
          {say.t('screen.programs.setLadderAndDosage')}
        </Button>
        {sections.length > 1 && (
          <Choice
            label={say.t('screen.programs.sectionToMoveThemTo')}
            options={sections.map(({ id, name }) => ({
              value: id,
              text: name || say.t('screen.programs.noName'),
            }))}
            className="phrase"
            onChoose={onMove}
          >
            {say.t('screen.programs.moveTo')}
          </Choice>
        )}
        <Button look="quiet" onClick={onRemove}>
          {say.t('screen.programs.takeOut')}
        </Button>
        <Button look="quiet" onClick={onClear}>
          {say.t('screen.programs.clearSelection')}
        </Button>
      </div>
      {open && (
        <div className="mt-2 flex items-end gap-4">
          <CourseFields
            course={course}
            tempo={{ beatTicks: TICKS_PER_QUARTER }}
            waits
            onSet={setCourse}
          />
          <Button look="main" onClick={() => onCourse(course)}>
            {say.t('screen.programs.setFor', { count: chosen.length })}
          </Button>
        </div>
      )}
    </div>
  );
}
