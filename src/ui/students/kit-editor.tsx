'use client';

import type { Result } from '@/core/issue';
import {
  FULL_KIT,
  HANDEDNESS,
  VOICES,
  type Handedness,
  type KitProfile,
  type VoiceId,
} from '@/core/kit';
import { sayHandedness, sayVoice, type Say } from '@/words';
import { LimitsFields, Pop, PopRoot, PopTrigger, useKept, useSpeech } from '../base';

/** What a student plays on and how; kept at once. */
export function KitEditor({
  name,
  kit: stored,
  onSet,
}: {
  name: string;
  kit: KitProfile;
  onSet: (kit: KitProfile) => Promise<Result<null>>;
}) {
  const { say } = useSpeech();
  const [kit, set] = useKept(stored, (next) => onSet({ ...next, name }));
  const toggle = (id: VoiceId) =>
    set({
      voices: kit.voices.includes(id)
        ? kit.voices.filter((one) => one !== id)
        : [...kit.voices, id],
    });
  return (
    <PopRoot>
      <PopTrigger className="inline-flex h-8 items-center rounded-sm border border-line bg-sheet px-3 hover:border-soft">
        {say.t('screen.students.kit', { kit: sayKitOf(say, kit) })}
      </PopTrigger>
      <Pop align="end" sideOffset={6} className="flex w-96 flex-col gap-3 p-4">
        <fieldset>
          <legend className="label mb-1">{say.t('screen.common.plays')}</legend>
          {HANDEDNESS.map((id) => (
            <label key={id} className="flex items-baseline gap-2 py-0.5">
              <input
                type="radio"
                name="handedness"
                checked={kit.handedness === id}
                onChange={() => set({ handedness: id })}
              />
              {sayHands(say, id)}
            </label>
          ))}
        </fieldset>
        <fieldset>
          <legend className="label mb-1">{say.t('screen.common.has')}</legend>
          <div className="grid grid-cols-2 gap-x-3">
            {VOICES.map(({ id }) => (
              <label key={id} className="flex items-baseline gap-2 py-0.5">
                <input
                  type="checkbox"
                  checked={kit.voices.includes(id)}
                  onChange={() => toggle(id)}
                />
                {sayVoice(say, id)}
              </label>
            ))}
          </div>
          <div className="mt-2 flex gap-2 text-sm">
            <button type="button" className="phrase" onClick={() => set({ voices: ['pad'] })}>
              {say.t('screen.common.padOnly')}
            </button>
            <button
              type="button"
              className="phrase"
              onClick={() => set({ voices: FULL_KIT.voices })}
            >
              {say.t('screen.students.everything')}
            </button>
          </div>
        </fieldset>
        <LimitsFields limits={kit.limits} onSet={(limits) => set({ limits })} />
      </Pop>
    </PopRoot>
  );
}

/** Mirrored is said in full, where nothing else tells that it is the left hand. */
function sayHands(say: Say, hands: Handedness): string {
  return hands === 'mirrored'
    ? say.t('screen.students.leftHandedMirroredKit')
    : sayHandedness(say, hands);
}

/** @example 'left-handed, mirrored kit, 16 voices' */
function sayKitOf(say: Say, kit: KitProfile): string {
  const hands = sayHands(say, kit.handedness);
  if (kit.voices.length === 1 && kit.voices[0] === 'pad')
    return say.t('screen.students.padOnly', { hands });
  const all = kit.voices.length === VOICES.length;
  return all
    ? hands
    : say.t('screen.students.voices', {
        hands,
        voices: kit.voices.length,
      });
}
