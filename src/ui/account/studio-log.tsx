'use client';

import type { AuditLine } from '@/core/studio';
import { sayInstant } from '@/words';
import { useSpeech } from '../base';
import type { OwnedProps } from './account-props';
import { Part } from './part';

/** What would have gone out by mail. */
export function Mails({ owned }: Pick<OwnedProps, 'owned'>) {
  const { say } = useSpeech();
  return (
    <Part title={say.t('screen.account.mails')}>
      {owned.mails.length === 0 && <p className="text-soft">{say.t('screen.account.noMail')}</p>}
      <ul className="w-full">
        {owned.mails.map(({ id, at, to, letter }) => (
          <li key={id} className="border-b border-line py-1.5">
            <details>
              <summary className="cursor-pointer">
                {to} <span className="text-sm text-soft">{sayInstant(say, at)}</span>{' '}
                {letter?.subject}
              </summary>
              <p className="max-w-full py-2 break-words whitespace-pre-wrap select-text">
                {letter?.text ?? say.t('screen.account.mailSealed')}
              </p>
            </details>
          </li>
        ))}
      </ul>
    </Part>
  );
}

/** Who came in, and what was changed about that. */
export function Audit({ lines }: { lines: readonly AuditLine[] }) {
  const { say } = useSpeech();
  return (
    <Part title={say.t('screen.account.audit')}>
      <ol className="max-h-80 w-full overflow-auto border-t border-line" tabIndex={0}>
        {lines.map(({ id, at, kind, by, about }) => {
          const what = say.t(`screen.account.auditKind.${kind}`);
          return (
            <li
              key={id}
              className="grid grid-cols-[11rem_10rem_1fr] gap-3 border-b border-line py-1"
            >
              <span className="text-sm text-soft">{sayInstant(say, at)}</span>
              <span>{by ?? say.t('screen.account.nobody')}</span>
              <span>
                {about === null || about === by
                  ? what
                  : say.t('screen.account.auditAbout', { what, about })}
              </span>
            </li>
          );
        })}
      </ol>
    </Part>
  );
}
