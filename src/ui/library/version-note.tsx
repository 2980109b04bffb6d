'use client';

import type { Material, MaterialKind } from '@/core/materials';
import { useSpeech } from '../base';
import { useMaterials } from './library';

/** Tells that a studio's own ingredient was edited or archived since it was put into this exercise.
 * The exercise keeps the version it was made with until the teacher takes the newer one. */
export function VersionNote<K extends MaterialKind>({
  of: { id, version },
  kind,
  onUpdate,
}: {
  of: { readonly id?: string; readonly version?: number };
  kind: K;
  onUpdate: (newer: Material<K>) => void;
}) {
  const { say } = useSpeech();
  const materials = useMaterials(kind);
  const now = materials.find((one) => one.own && one.id === id);
  if (!now) return null;
  if (now.version > (version ?? 0)) {
    return (
      <button
        type="button"
        className="ml-1 rounded-sm border border-warm px-1.5 text-[0.8rem] leading-5"
        title={say.t('screen.bench.madeWithVersionVersionIsOn', {
          made: version ?? 0,
          now: now.version,
        })}
        onClick={() => onUpdate(now)}
      >
        {say.t('screen.bench.editedSinceUpdate')}
      </button>
    );
  }
  return now.archived ? (
    <span className="ml-1 text-[0.8rem] text-soft">{say.t('screen.bench.archived')}</span>
  ) : null;
}
