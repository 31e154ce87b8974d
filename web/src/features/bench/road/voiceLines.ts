import type { Change } from '../../../api/client';
import { midiOf } from '../../../shared/tune';

/** A voice's way from one place to the next. */
export interface VoiceLine {
  key: string;
  kind: 'keeps' | 'half' | 'moves';
  /** Whether it goes as the player asked: the highest voice, or the one of a line that moves alone. */
  asked: boolean;
  x1: number;
  y1: number;
  x2: number;
  y2: number;
  /** Notes at its ends, each where no line before or beside it has said it already. */
  from: string | null;
  to: string | null;
}

/** Pitches a drawing reaches from and to, as keys on a piano. */
export interface PitchSpan {
  low: number;
  high: number;
}

const MARGIN = 14;
const LEAST_SPAN = 12;

/** All pitches of the voices of a part; an octave at least. */
export function spanOf(changes: Change[]): PitchSpan {
  const pitches = changes.flatMap((c) => c.voices.flatMap((v) => [midiOf(v.from), midiOf(v.to)]));
  const low = Math.min(...pitches);
  const high = Math.max(...pitches);
  const more = Math.max(0, LEAST_SPAN - (high - low)) / 2;
  return { low: low - more, high: high + more };
}

/** Y of a pitch: higher notes lie higher, half steps all alike. */
export function pitchY(span: PitchSpan, height: number, pitch: string): number {
  const share = (midiOf(pitch) - span.low) / (span.high - span.low);
  return height - MARGIN - share * (height - 2 * MARGIN);
}

/** Which voices the player asked something of. */
export interface AskedVoices {
  /** Whether of the highest. */
  top: boolean;
  /** Places from which a line goes on in one voice alone. */
  lines: ReadonlySet<number>;
}

/** The voices of some changes as lines at true pitch, from the middle of one place to the middle of the next. */
export function voiceLines(
  changes: Change[],
  span: PitchSpan,
  column: number,
  height: number,
  asked: AskedVoices,
): VoiceLine[] {
  const said = new Set<string>();
  const once = (place: number, pitch: string) => {
    const key = `${place} ${pitch}`;
    const first = !said.has(key);
    said.add(key);
    return first ? pitch : null;
  };
  return changes.flatMap((change) =>
    change.voices.map((voice, i) => ({
      key: `${change.from} ${i}`,
      kind: voice.semitones === 0 ? 'keeps' : Math.abs(voice.semitones) === 1 ? 'half' : 'moves',
      asked: (asked.top && i === 0) || (asked.lines.has(change.from) && voice.semitones !== 0),
      x1: (change.from + 0.5) * column,
      y1: pitchY(span, height, voice.from),
      x2: (change.to + 0.5) * column,
      y2: pitchY(span, height, voice.to),
      from: once(change.from, voice.from),
      to: once(change.to, voice.to),
    })),
  );
}
