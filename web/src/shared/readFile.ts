import { api, ProblemError, type ReadFile, type TuneChoice } from '../api/client';

/** Most bytes a file may have. */
export const LARGEST_FILE = 3.5 * 1024 * 1024;

const CHUNK = 0x8000;

/** Bytes in base64, as JSON carries them. */
export function base64(bytes: Uint8Array): string {
  let binary = '';
  for (let at = 0; at < bytes.length; at += CHUNK) {
    binary += String.fromCharCode(...bytes.subarray(at, at + CHUNK));
  }
  return btoa(binary);
}

/**
 * Reads a file of any origin as chart text; a MIDI tune is laid over the text of a song, or is a song of its own.
 *
 * @param tune which voice of a MIDI file, moved by how many quarters
 */
export async function readFile(
  file: File,
  source: string | null = null,
  tune?: { voice: number; shift: number },
): Promise<ReadFile> {
  if (file.size > LARGEST_FILE) {
    throw new ProblemError(
      413,
      'File too large',
      `${file.name} has more than 3.5 MiB. A chart, a score or a tune is far smaller: choose that file.`,
    );
  }
  const bytes = new Uint8Array(await file.arrayBuffer());
  const other = otherKind(bytes);
  if (other !== null) {
    throw new ProblemError(
      415,
      'Not a chart',
      `${file.name} is ${other}. Underhand reads chart text, MusicXML and, for a tune, MIDI.`,
    );
  }
  return api.readFile(base64(bytes), source, tune);
}

/** First bytes of files people drop by mistake. */
const OTHERS: [string, string][] = [
  ['25504446', 'a PDF'],
  ['89504e47', 'a picture'],
  ['ffd8ff', 'a picture'],
  ['47494638', 'a picture'],
  ['494433', 'a sound recording'],
  ['fffb', 'a sound recording'],
  ['664c6143', 'a sound recording'],
  ['4f676753', 'a sound recording'],
  ['d0cf11e0', 'a document of a word processor'],
];

/** What a file is that is no chart, in words; null where it may be one. */
function otherKind(bytes: Uint8Array): string | null {
  const start = [...bytes.subarray(0, 4)].map((byte) => byte.toString(16).padStart(2, '0')).join('');
  return OTHERS.find(([mark]) => start.startsWith(mark))?.[1] ?? null;
}

/** What was left out of a file, in a sentence; blank where nothing was. */
export function droppedWords(dropped: string[]): string {
  return dropped.length === 0 ? '' : `Left out: ${dropped.join('; ')}.`;
}

/** Which of a MIDI file's voices became the tune, where it has several; blank otherwise. */
export function tuneWords(tune: TuneChoice | null): string {
  const taken = tune?.voices[tune.voice];
  return tune && taken && tune.voices.length > 1
    ? `The tune is ${taken.name || `voice ${tune.voice + 1}`}, one of ${tune.voices.length}; Edit chart, Add a tune from MIDI takes another.`
    : '';
}
