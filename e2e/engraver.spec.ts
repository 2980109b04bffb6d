import type { OpenSheetMusicDisplay } from 'opensheetmusicdisplay';
import { expect, test } from '@playwright/test';
import { writeMusicXml } from '../src/core/format/musicxml';
import {
  inOrder,
  meant,
  randomPieces,
  SHIPPED_PIECES,
  type Sounding,
} from '../src/core/format/pieces.fixture';
import { samples } from '../src/samples.fixture';

/** An engraver that shares no code with ours, and that other programs show scores with. */
const ENGRAVER = 'node_modules/opensheetmusicdisplay/build/opensheetmusicdisplay.min.js';

/** Scores that are handed over at once. */
const AT_ONCE = 50;

/** It gives bars in which both voices have grace notes too much time; our own reader sees those. */
function withoutGraces(xml: string): string {
  return xml.replace(/<note[^>]*><grace[^>]*>.*?<\/note>/gs, '');
}

/** What the engraver finds in scores, and what it has to say about them. */
async function engraved(
  scores: readonly string[],
): Promise<{ found: Sounding[][]; said: string[] }> {
  const said: string[] = [];
  for (const level of ['warn', 'error'] as const) {
    console[level] = (...words: unknown[]) => void said.push(words.map(String).join(' '));
  }
  const { opensheetmusicdisplay } = window as unknown as {
    opensheetmusicdisplay: { OpenSheetMusicDisplay: typeof OpenSheetMusicDisplay };
  };
  const sheet = document.createElement('div');
  const found: Sounding[][] = [];
  const display = new opensheetmusicdisplay.OpenSheetMusicDisplay(sheet, { autoResize: false });
  for (const xml of scores) {
    await display.load(xml);
    found.push(notesOf(display));
  }
  return { found, said };

  function notesOf(display: OpenSheetMusicDisplay): Sounding[] {
    return display.Sheet.SourceMeasures.flatMap((measure) =>
      measure.VerticalSourceStaffEntryContainers.flatMap(({ StaffEntries }) =>
        StaffEntries.flatMap((entry) => entry?.VoiceEntries ?? []).flatMap((voice) => {
          if (voice.IsGrace) return [];
          const { SubInstruments } = voice.ParentVoice.Parent;
          const at = (measure.AbsoluteTimestamp.RealValue + voice.Timestamp.RealValue) * 4;
          return voice.Notes.filter((note) => !note.isRest()).map((note) => {
            const by = SubInstruments.find((one) => one.idString === note.PlaybackInstrumentId);
            return { at: Math.round(at * 1e6) / 1e6, key: (by?.fixedKey ?? NaN) - 1 };
          });
        }),
      ),
    );
  }
}

test('an engraver reads every onset and key of what ships and of random exercises', async ({
  page,
}) => {
  await page.goto('about:blank');
  await page.addScriptTag({ path: ENGRAVER });
  const pieces = [...SHIPPED_PIECES, ...randomPieces(samples(500))];
  for (let from = 0; from < pieces.length; from += AT_ONCE) {
    const some = pieces.slice(from, from + AT_ONCE);
    const scores = some.map((piece) => withoutGraces(writeMusicXml(piece.name, [piece])));
    const { found, said } = await page.evaluate(engraved, scores);
    expect(said).toEqual([]);
    // Sums of fractions are off by less than the shortest note.
    const near = (all: readonly Sounding[] = []) =>
      all.map(({ at, key }) => [Math.round(at * 1000) / 1000 + 0, key]);
    for (const [index, piece] of some.entries()) {
      expect(near(found[index]?.sort(inOrder)), piece.name).toEqual(near(meant([piece])));
    }
  }
});
