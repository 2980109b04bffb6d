'use client';

import type { InputHTMLAttributes, ReactNode } from 'react';
import type { Issue } from '@/core/issue';
import { Button, Field, issuesAt, Trouble, useFormAction, useSpeech } from '../base';

type Answer = readonly Issue[];

export type EntryAction = (before: Answer, form: FormData) => Promise<Answer>;

export type EntryField = InputHTMLAttributes<HTMLInputElement> & {
  readonly name: string;
  readonly label: string;
};

/** A form that lets somebody in: what is wrong stands at its field, or under the button.
 * @param hidden what it sends besides */
export function EntryForm({
  action,
  fields,
  submit,
  hidden = {},
  before,
  children,
}: {
  action: EntryAction;
  fields: readonly EntryField[];
  submit: string;
  hidden?: Readonly<Record<string, string>>;
  /** What stands over the fields, and under them. */
  before?: ReactNode;
  children?: ReactNode;
}) {
  const { answer, pending, onSubmit } = useFormAction<Answer>(action, []);
  const { say } = useSpeech();
  const names = new Set(fields.map(({ name }) => name));
  const others = answer.filter(({ path }) => path.length > 0 && !names.has(String(path[0])));
  return (
    <form noValidate onSubmit={onSubmit} className="flex flex-col gap-4">
      {Object.entries(hidden).map(([name, value]) => (
        <input key={name} type="hidden" name={name} value={value} />
      ))}
      {before}
      {fields.map(({ name, label, ...rest }) => (
        <Field
          key={name}
          name={name}
          label={label}
          maxLength={200}
          required
          className="text-lg"
          issues={issuesAt(answer, name)}
          {...rest}
        />
      ))}
      {children}
      <p>
        <Button look="main" type="submit" disabled={pending} className="h-12 min-w-40 px-5 text-lg">
          {pending ? say.t('screen.entry.oneMoment') : submit}
        </Button>
      </p>
      <Trouble issues={others} />
    </form>
  );
}
