'use client';

import { type VoiceId, VOICES } from '@/core/kit';
import type { Change } from '@/core/recipe';
import { turnLetters } from '@/core/transform';
import { Button, useSpeech } from '../base';
import { Row, Toggle } from './change-parts';
import { TakeAway, VoicePhrase } from './phrase-parts';

type Turn = Extract<Change, { kind: 'turn' }>;

const MOST_VOICES = 6;

/** The voices of a cell as letters, and every order that rotating and inverting gives. */
export function TurnDetails({
  change,
  onChange,
}: {
  change: Turn;
  onChange: (change: Turn) => void;
}) {
  const { say } = useSpeech();
  const { voices } = change;
  const orders = [false, true].flatMap((reversed) =>
    voices.map((_, turn) => ({ turn, reversed, text: turnLetters({ voices, turn, reversed }) })),
  );
  const words = Object.fromEntries(orders.map(({ text }) => [text, text.split('').join(' ')]));
  const setVoices = (next: readonly VoiceId[]) =>
    onChange({ ...change, voices: [...next], turn: Math.min(change.turn, next.length - 1) });
  const unused = VOICES.find((one) => !voices.includes(one.id));
  return (
    <>
      {voices.map((id, index) => (
        <Row key={index} label={String.fromCharCode(65 + index)}>
          <VoicePhrase
            label={say.t('screen.bench.voiceCapital', { index: String.fromCharCode(65 + index) })}
            value={id}
            onChoose={(next) =>
              setVoices(voices.map((one, at) => (at === index ? next : one === next ? id : one)))
            }
          />
          {voices.length > 2 && (
            <TakeAway
              what={say.t('screen.bench.voice', { index: String.fromCharCode(65 + index) })}
              onClick={() => setVoices(voices.filter((_, at) => at !== index))}
            />
          )}
        </Row>
      ))}
      {voices.length < MOST_VOICES && unused && (
        <Button look="quiet" onClick={() => setVoices([...voices, unused.id])}>
          {say.t('screen.bench.addVoice')}
        </Button>
      )}
      <Toggle
        label={say.t('screen.bench.becomes')}
        options={words}
        value={turnLetters(change)}
        onChoose={(text) => {
          const order = orders.find((one) => one.text === text);
          if (order) onChange({ ...change, turn: order.turn, reversed: order.reversed });
        }}
      />
    </>
  );
}
