'use client';

import { clsx } from 'clsx';
import type { OutlineSection } from '@/core/program';
import { Button, TypedField, useDragged, useSpeech } from '../base';
import type { ProgramDesk } from './use-program';

export function SectionHead({
  section,
  desk,
  alone,
}: {
  section: OutlineSection;
  desk: ProgramDesk;
  alone: boolean;
}) {
  const { say } = useSpeech();
  if (alone && section.name === '') return null;

  const rename = (name: string) =>
    desk.edit((now) => ({
      sections: now.sections.map((one) => (one.id === section.id ? { ...one, name } : one)),
    }));

  return (
    <h2 className="flex items-baseline gap-2">
      <TypedField
        label={say.t('screen.programs.sectionName')}
        value={section.name}
        write={(name) => name}
        read={(text) => text.trim()}
        onTake={rename}
        maxLength={80}
        placeholder={say.t('screen.programs.section')}
        inputMode="text"
        className="title-field flex-1 font-serif text-xl"
      />
      {section.items.length === 0 && !alone && (
        <Button
          look="quiet"
          aria-label={say.t('screen.programs.takeOutTheSection', { section: section.name })}
          onClick={() =>
            desk.edit((now) => ({ sections: now.sections.filter((one) => one.id !== section.id) }))
          }
        >
          {say.t('screen.programs.takeOut')}
        </Button>
      )}
    </h2>
  );
}

/** Takes an item that is dropped into a section without any. */
export function EmptySection({ id }: { id: string }) {
  const { ref, over } = useDragged(id, { movable: false });
  return <div ref={ref} className={clsx('h-8 border-t border-line', over && 'bg-warm-wash')} />;
}
