'use client';

import { Popover } from 'radix-ui';
import type { Result } from '@/core/issue';
import { FULL_KIT, VOICES, type Handedness, type KitProfile, type VoiceId } from '@/core/kit';
import { LimitsFields, useKept } from '../base';

const HANDS: Readonly<Record<Handedness, string>> = {
  right: 'right-handed',
  mirrored: 'left-handed, mirrored kit',
  'open-handed': 'open-handed',
  'left-lead': 'left lead',
};

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
  const [kit, set] = useKept(stored, (next) => onSet({ ...next, name }));
  const toggle = (id: VoiceId) =>
    set({
      voices: kit.voices.includes(id)
        ? kit.voices.filter((one) => one !== id)
        : [...kit.voices, id],
    });
  return (
    <Popover.Root>
      <Popover.Trigger className="inline-flex h-8 items-center rounded-sm border border-line bg-sheet px-3 hover:border-soft">
        Kit: {sayKitOf(kit)}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content align="end" sideOffset={6} className="pop flex w-96 flex-col gap-3 p-4">
          <fieldset>
            <legend className="label mb-1">Plays</legend>
            {Object.entries(HANDS).map(([id, text]) => (
              <label key={id} className="flex items-baseline gap-2 py-0.5">
                <input
                  type="radio"
                  name="handedness"
                  checked={kit.handedness === id}
                  onChange={() => set({ handedness: id as Handedness })}
                />
                {text}
              </label>
            ))}
          </fieldset>
          <fieldset>
            <legend className="label mb-1">Has</legend>
            <div className="grid grid-cols-2 gap-x-3">
              {VOICES.map(({ id, name: text }) => (
                <label key={id} className="flex items-baseline gap-2 py-0.5">
                  <input
                    type="checkbox"
                    checked={kit.voices.includes(id)}
                    onChange={() => toggle(id)}
                  />
                  {text}
                </label>
              ))}
            </div>
            <div className="mt-2 flex gap-2 text-sm">
              <button type="button" className="phrase" onClick={() => set({ voices: ['pad'] })}>
                pad only
              </button>
              <button
                type="button"
                className="phrase"
                onClick={() => set({ voices: FULL_KIT.voices })}
              >
                everything
              </button>
            </div>
          </fieldset>
          <LimitsFields limits={kit.limits} onSet={(limits) => set({ limits })} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** @example 'left-handed, mirrored kit, 16 voices' */
function sayKitOf(kit: KitProfile): string {
  if (kit.voices.length === 1 && kit.voices[0] === 'pad')
    return `${HANDS[kit.handedness]}, pad only`;
  const all = kit.voices.length === VOICES.length;
  return all ? HANDS[kit.handedness] : `${HANDS[kit.handedness]}, ${kit.voices.length} voices`;
}
