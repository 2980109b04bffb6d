'use client';

import type { Result } from '@/core/issue';
import type { DeviceLine } from '@/core/studio';
import { attemptOrSay, Button, useSpeech } from '../base';
import { Devices } from './devices';

interface OwnDevicesProps {
  readonly devices: readonly DeviceLine[];
  readonly endOn: (device: string) => Promise<Result<null>>;
  readonly endElsewhere: () => Promise<Result<null>>;
}

/** Where somebody is signed in, each with a way to end it, and one to end all but this. */
export function DeviceList({ devices, endOn, endElsewhere }: OwnDevicesProps) {
  const { say } = useSpeech();
  return (
    <>
      <Devices
        devices={devices}
        none={say.t('screen.devices.none')}
        onEnd={(id) => void attemptOrSay(() => endOn(id))}
      />
      {devices.length > 1 && (
        <Button onClick={() => void attemptOrSay(endElsewhere)}>
          {say.t('screen.devices.signOutElsewhere')}
        </Button>
      )}
    </>
  );
}

/** A student's page of them. */
export function OwnDevices(props: OwnDevicesProps) {
  const { say } = useSpeech();
  return (
    <main className="mx-auto flex max-w-4xl flex-col items-start gap-4 px-6 py-6">
      <h1 className="font-serif text-3xl">{say.t('screen.shell.devices')}</h1>
      <DeviceList {...props} />
    </main>
  );
}
