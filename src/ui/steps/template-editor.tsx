'use client';

import { ChevronLeft, ChevronRight, X } from 'lucide-react';
import { STEP_KINDS, type StepKind } from '@/core/path';
import { sayStepKind } from '@/words';
import { Button, useSpeech } from '../base';

/** Kinds of steps in the teacher’s order: taken in, out, and moved. */
export function TemplateEditor({
  template,
  usual,
  onChange,
  onKeep,
}: {
  template: readonly StepKind[];
  /** What the studio keeps as its own. */
  usual: readonly StepKind[];
  onChange: (template: readonly StepKind[]) => void;
  onKeep: () => void;
}) {
  const { say } = useSpeech();
  const others = STEP_KINDS.filter((kind) => !template.includes(kind));
  function move(kind: StepKind, by: -1 | 1) {
    const place = template.indexOf(kind);
    const next = template.filter((one) => one !== kind);
    next.splice(Math.max(0, place + by), 0, kind);
    onChange(next);
  }
  const icon = 'inline-flex size-6 items-center justify-center text-soft hover:text-ink';
  return (
    <div
      role="group"
      aria-label={say.t('screen.steps.buildOrder')}
      className="flex flex-wrap items-center gap-1.5"
    >
      {template.map((kind, place) => (
        <span
          key={kind}
          className="inline-flex items-center rounded-sm border border-line bg-sheet pl-1"
        >
          {place > 0 && (
            <button
              type="button"
              className={icon}
              aria-label={say.t('screen.steps.earlier', { stepKind: sayStepKind(say, kind) })}
              onClick={() => move(kind, -1)}
            >
              <ChevronLeft size={14} aria-hidden />
            </button>
          )}
          <span className="px-1">{sayStepKind(say, kind)}</span>
          {place < template.length - 1 && (
            <button
              type="button"
              className={icon}
              aria-label={say.t('screen.steps.later', { stepKind: sayStepKind(say, kind) })}
              onClick={() => move(kind, 1)}
            >
              <ChevronRight size={14} aria-hidden />
            </button>
          )}
          <button
            type="button"
            className={icon}
            aria-label={say.t('screen.steps.without', { stepKind: sayStepKind(say, kind) })}
            onClick={() => onChange(template.filter((one) => one !== kind))}
          >
            <X size={12} aria-hidden />
          </button>
        </span>
      ))}
      {others.map((kind) => (
        <Button key={kind} look="quiet" onClick={() => onChange([...template, kind])}>
          + {sayStepKind(say, kind)}
        </Button>
      ))}
      {template.join() !== usual.join() && (
        <Button onClick={onKeep}>{say.t('screen.steps.saveAsMyBuildOrder')}</Button>
      )}
    </div>
  );
}
