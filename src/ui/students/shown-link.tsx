'use client';

import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useRef } from 'react';
import { attempt, attemptOrSay, Button, postAddress, toast, useSpeech } from '../base';

const QrCode = dynamic(() => import('./qr-code').then((room) => room.QrCode), { ssr: false });

/** Where a studio is reached. */
export interface Reached {
  /** In front of each link. */
  readonly origin: string;
  /** Where others may reach it, when that leads to this computer alone. */
  readonly others: readonly string[];
}

/** A student's private link, to copy and to scan. */
export function ShownLink({
  path,
  student,
  origin,
  others,
}: Reached & { path: string; student: string }) {
  const { say } = useSpeech();
  const address = origin + path;
  return (
    <>
      <Address address={address} />
      {others.length > 0 && <OnlyHere others={others} />}
      <QrCode text={address} label={say.t('screen.access.qrOf', { student })} />
    </>
  );
}

/** A link that leads to this computer alone, and where others may reach it. */
function OnlyHere({ others }: Pick<Reached, 'others'>) {
  const { say } = useSpeech();
  const router = useRouter();
  async function set(address: string) {
    if (await attemptOrSay(() => postAddress(address))) router.refresh();
  }
  return (
    <p className="flex flex-wrap items-center gap-2">
      {say.t('screen.access.onlyHere')}
      {others.map((one) => (
        <Button key={one} onClick={() => void set(one)}>
          {one}
        </Button>
      ))}
    </p>
  );
}

/** An address to copy. */
export function Address({ address }: { address: string }) {
  const { say } = useSpeech();
  const field = useRef<HTMLInputElement>(null);
  async function copyIt() {
    field.current?.select();
    if (await copied(address)) toast.success(say.t('screen.access.copied'));
  }
  return (
    <div className="flex w-full gap-2">
      <input
        ref={field}
        readOnly
        aria-label={say.t('screen.access.address')}
        className="field flex-1 text-sm"
        value={address}
        onFocus={(event) => event.target.select()}
      />
      <Button onClick={() => void copyIt()}>{say.t('screen.access.copy')}</Button>
    </div>
  );
}

/** Over plain http a browser has no clipboard, but copies what is selected.
 * @returns whether it was copied */
async function copied(text: string): Promise<boolean> {
  if (!('clipboard' in navigator)) return document.execCommand('copy');
  return (await attempt(() => navigator.clipboard.writeText(text).then(() => true))) ?? false;
}
