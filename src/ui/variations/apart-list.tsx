'use client';

import { deadValues, memberAt, type Impossible, type OpenedFamily } from '@/core/family';
import { sayAxis, sayIssues, sayMember, sayPart } from '@/words';
import { Button, useSpeech } from '../base';
import type { ShownMember } from './use-family-work';

/** Most that are listed one by one. */
const MOST = 200;

/** Members that are not on the path by the teacher’s will or a cover’s; each can be taken back. */
export function LeftOut({
  opened,
  out,
  onKeep,
}: {
  opened: OpenedFamily;
  out: readonly ShownMember[];
  onKeep: (index: number) => void;
}) {
  const { say } = useSpeech();
  return (
    <ul
      aria-label={say.t('screen.variations.leftOutCapital')}
      className="min-h-0 flex-1 overflow-y-auto px-4 py-2"
    >
      {out.slice(0, MOST).map(({ index }) => (
        <li key={index} className="flex items-baseline gap-2 border-b border-faint py-1">
          <span className="min-w-0 flex-1">{sayMember(say, opened, memberAt(opened, index))}</span>
          <Button look="quiet" onClick={() => onKeep(index)}>
            {say.t('screen.common.keep')}
          </Button>
        </li>
      ))}
      <More all={out.length} />
    </ul>
  );
}

/** Members that cannot be played, by what is wrong. */
export function CannotBePlayed({
  opened,
  played,
  impossible,
}: {
  opened: OpenedFamily;
  played: readonly ShownMember[];
  impossible: readonly Impossible[];
}) {
  const { say } = useSpeech();
  const reasons = new Map<string, Impossible[]>();
  for (const one of impossible) {
    const reason = sayIssues(say, one.issues);
    const list = reasons.get(reason);
    if (list) list.push(one);
    else reasons.set(reason, [one]);
  }
  const dead = deadValues(opened, { played, impossible });
  return (
    <div
      aria-label={say.t('screen.variations.cannotBePlayedCapital')}
      role="group"
      className="min-h-0 flex-1 overflow-y-auto p-4"
    >
      {dead.map(({ axis, value }) => (
        <p key={`${axis.at} ${axis.nth} ${value.key}`} className="mb-2 border-l-3 border-warm pl-2">
          {say.t('screen.variations.noVariationWithCanBePlayed', {
            value: sayPart(say, value.part),
            axis: sayAxis(say, axis),
          })}
        </p>
      ))}
      <ul>
        {[...reasons].slice(0, MOST).map(([reason, list]) => (
          <li key={reason} className="border-b border-faint py-1.5">
            <p>{reason}</p>
            <p className="text-sm text-soft">
              {list.length === 1 ? '' : `${list.length}: `}
              {list
                .slice(0, 3)
                .map((one) => sayMember(say, opened, one))
                .join('; ')}
              {list.length > 3 && '; …'}
            </p>
          </li>
        ))}
      </ul>
      <More all={reasons.size} />
    </div>
  );
}

/** Members folded into one that sounds the same. */
export function SameAsOthers({
  opened,
  same,
}: {
  opened: OpenedFamily;
  same: readonly ShownMember[];
}) {
  const { say } = useSpeech();
  return (
    <ul
      aria-label={say.t('screen.variations.sameAsAnotherCapital')}
      className="min-h-0 flex-1 overflow-y-auto px-4 py-2"
    >
      {same.slice(0, MOST).map((one) => (
        <li key={one.index} className="border-b border-faint py-1">
          {sayMember(say, opened, one)}{' '}
          <span className="text-soft">
            {say.t('screen.variations.sameAs', {
              member: sayMember(say, opened, memberAt(opened, one.sameAs)),
              limbs: one.sameLimbs ? 'same' : 'other',
            })}
          </span>
        </li>
      ))}
      <More all={same.length} />
    </ul>
  );
}

function More({ all }: { all: number }) {
  const { say } = useSpeech();
  if (all <= MOST) return null;
  return (
    <p className="py-2 text-soft">{say.t('screen.variations.andMore', { count: all - MOST })}</p>
  );
}
