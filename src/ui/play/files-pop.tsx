'use client';

import { Download } from 'lucide-react';
import { useState } from 'react';
import type { Part } from '@/audio';
import { FORMATS, writeBundle, type Bundled, type FormatId, type Piece } from '@/core/format';
import { Button, buttonLook, Pop, PopRoot, PopTrigger, saveFile, useSpeech } from '../base';
import { useWav } from './use-wav';

const IDS = Object.keys(FORMATS) as readonly FormatId[];

/** What is here as a file: for notation and music programs, or as sound. */
export function FilesPop({
  name,
  piecesOf,
  bundled,
  sound,
}: {
  name: string;
  /** All that it is, for another studio. */
  bundled: () => Bundled;
  /** @returns null where one of them cannot be played, and that was said */
  piecesOf: () => readonly Piece[] | null;
  /** What is heard here; left out where nothing is. */
  sound?: {
    /** How many bars it has, where that is known before it is made. */
    readonly bars?: number;
    /** @returns null where it cannot be played, and that was said */
    readonly partOf: () => Part | null;
  };
}) {
  const { say } = useSpeech();
  function write(id: FormatId) {
    const pieces = piecesOf();
    if (!pieces) return;
    const { write: writeFile, media, ending } = FORMATS[id];
    const bytes = Uint8Array.from(writeFile(name, pieces));
    saveFile(new Blob([bytes], { type: media }), `${name}.${ending}`);
  }
  return (
    <PopRoot>
      <PopTrigger className={buttonLook('quiet')}>
        <Download size={14} aria-hidden /> {say.t('screen.common.files')}
      </PopTrigger>
      <Pop className="flex w-72 flex-col gap-3 p-3">
        <div className="flex gap-2">
          {IDS.map((id) => (
            <Button key={id} className="flex-1" onClick={() => write(id)}>
              {say.t(`screen.common.format.${id}`)}
            </Button>
          ))}
          <Button
            className="flex-1"
            onClick={() =>
              saveFile(
                new Blob([writeBundle(bundled())], { type: 'application/json' }),
                `${name}.mivvel.json`,
              )
            }
          >
            {say.t('screen.common.format.bundle')}
          </Button>
        </div>
        {sound && <WavFields name={name} {...sound} />}
      </Pop>
    </PopRoot>
  );
}

function WavFields({
  name,
  bars,
  partOf,
}: {
  name: string;
  bars?: number;
  partOf: () => Part | null;
}) {
  const { say } = useSpeech();
  const [apart, setApart] = useState(false);
  const { making, make, stop } = useWav();
  function download() {
    const part = partOf();
    if (part) void make(part, name, apart);
  }
  return (
    <>
      {making ? (
        <Button onClick={stop}>{say.t('screen.common.makingItStop')}</Button>
      ) : (
        <Button onClick={download}>
          {bars === undefined
            ? say.t('screen.common.wav')
            : say.t('screen.common.wavBars', { bars })}
        </Button>
      )}
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          checked={apart}
          onChange={(event) => setApart(event.target.checked)}
        />
        {say.t('screen.common.clickOnTheRightChannel')}
      </label>
    </>
  );
}
