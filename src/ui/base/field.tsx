'use client';

import { clsx } from 'clsx';
import { useId, type InputHTMLAttributes } from 'react';
import type { Issue } from '@/core/issue';
import { Trouble } from './trouble';

/** A labelled text field with its issues right under it. */
export function Field({
  label,
  issues = [],
  className,
  ...rest
}: InputHTMLAttributes<HTMLInputElement> & { label: string; issues?: readonly Issue[] }) {
  const id = useId();
  const trouble = `${id}-trouble`;
  return (
    <div className={clsx('flex flex-col', className)}>
      <label htmlFor={id} className="label">
        {label}
      </label>
      <input
        id={id}
        className="field"
        aria-invalid={issues.length > 0}
        aria-describedby={issues.length > 0 ? trouble : undefined}
        {...rest}
      />
      <Trouble id={trouble} issues={issues} />
    </div>
  );
}
