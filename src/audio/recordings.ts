import { RECORDINGS, type RecordingId, type Recordings } from './drums';
import type { Samples } from './shape';

const FILES = new Map<RecordingId, Promise<ArrayBuffer>>();

/** A file of the kit; fetched once, ahead of the first touch. */
function fileOf(id: RecordingId): Promise<ArrayBuffer> {
  let file = FILES.get(id);
  if (!file) {
    file = fetch(`/sounds/${id}.flac`).then((answer) => {
      if (!answer.ok) throw new Error(`no recording of ${id}: ${answer.status}`);
      return answer.arrayBuffer();
    });
    file.catch(() => FILES.delete(id));
    FILES.set(id, file);
  }
  return file;
}

/** Fetches the recorded drums, so that they are there when something is to sound. */
export function fetchRecordings(): void {
  for (const id of RECORDINGS) fileOf(id).catch(() => null);
}

/** The recorded drums, in mono at the rate of the context; null where they cannot be had or decoded: made
 * sounds take their place.
 * @param read the file of each */
export async function loadRecordings(
  context: BaseAudioContext,
  read: (id: RecordingId) => Promise<ArrayBuffer> = fileOf,
): Promise<Recordings | null> {
  try {
    const all = await Promise.all(
      RECORDINGS.map(async (id) => {
        const file = await read(id);
        return [id, monoOf(await context.decodeAudioData(file.slice(0)))] as const;
      }),
    );
    return Object.fromEntries(all) as Recordings;
  } catch {
    return null;
  }
}

function monoOf(buffer: AudioBuffer): Samples {
  const mono = new Float32Array(buffer.length);
  for (let channel = 0; channel < buffer.numberOfChannels; channel += 1) {
    buffer.getChannelData(channel).forEach((value, n) => {
      mono[n] = (mono[n] ?? 0) + value / buffer.numberOfChannels;
    });
  }
  return mono;
}
