import { api, ProblemError, type ReadFile } from '../api/client';

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

/** Reads a file of any origin as chart text; a MIDI tune is laid over the text of a song. */
export async function readFile(file: File, source: string | null = null): Promise<ReadFile> {
  if (file.size > LARGEST_FILE) {
    throw new ProblemError(
      413,
      'File too large',
      `${file.name} has more than 3.5 MiB. A chart, a score or a tune is far smaller: choose that file.`,
    );
  }
  return api.readFile(base64(new Uint8Array(await file.arrayBuffer())), source);
}

/** What was left out of a file, in a sentence; blank where nothing was. */
export function droppedWords(dropped: string[]): string {
  return dropped.length === 0 ? '' : `Left out: ${dropped.join('; ')}.`;
}
