'use client';

import type { DeviceLine } from '@/core/studio';
import { sayInstant } from '@/words';
import { Button, useSpeech } from '../base';
import { nameOfAgent } from './agent';
import { Entry } from './part';

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
          ? say.t('screen.devices.onTablet')
          : say.t('screen.devices.device', { browser, system });
        return (
          <Entry
            key={one.id}
            name={name}
            about={
              one.here
                ? say.t('screen.devices.here')
                : say.t('screen.devices.since', { at: sayInstant(say, one.since) })
            }
          >
            {!one.here && (
              <Button
                look="quiet"
                aria-label={say.t('screen.devices.signOutOn', { device: name })}
                onClick={() => onEnd(one.id)}
              >
                {say.t('screen.devices.signOut')}
              </Button>
            )}
          </Entry>
        );
      })}
    </ul>
  );
}
