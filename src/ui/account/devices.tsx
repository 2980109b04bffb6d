'use client';

import type { DeviceLine } from '@/core/studio';
import { sayInstant } from '@/words';
import { Button, useSpeech } from '../base';
import { nameOfAgent } from './agent';

/** Where somebody is signed in, each with a way to end it. */
export function Devices({
  devices,
  none,
  onEnd,
}: {
  devices: readonly DeviceLine[];
  none: string;
  onEnd: (id: string) => void;
}) {
  const { say } = useSpeech();
  if (devices.length === 0) return <p className="text-soft">{none}</p>;
  return (
    <ul className="w-full">
      {devices.map((one) => {
        const { browser, system } = nameOfAgent(one.agent);
        const name = one.onTablet
          ? say.t('screen.account.onTablet')
          : say.t('screen.account.device', { browser, system });
        return (
          <li key={one.id} className="flex items-baseline gap-3 border-b border-line py-1.5">
            <span>{name}</span>
            <span className="text-sm text-soft">
              {one.here
                ? say.t('screen.account.here')
                : say.t('screen.account.since', { at: sayInstant(say, one.since) })}
            </span>
            {!one.here && (
              <Button
                look="quiet"
                className="ml-auto"
                aria-label={say.t('screen.account.signOutOn', { device: name })}
                onClick={() => onEnd(one.id)}
              >
                {say.t('screen.account.signOut')}
              </Button>
            )}
          </li>
        );
      })}
    </ul>
  );
}
