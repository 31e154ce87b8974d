/** A note of a tune: beats from the first bar, beats it lasts, its pitch as it sounds (`F#4`). */
export interface TuneNote {
  from: number;
  beats: number;
  pitch: string;
}

const LETTERS = 'CDEFGAB';
const SEMITONES = [0, 2, 4, 5, 7, 9, 11];
/** Letters in the order in which keys sharpen them; flats go the other way. */
const SHARPS = 'FCGDAEB';
const MIDDLE = 'G4';
const SAME = 1e-3;
const LOWEST_MIDI = 24;
const HIGHEST_MIDI = 100;

/** Beats of a note by the digit it is chosen with: the share of a whole note, 6 for a sixteenth. */
export const LENGTHS: Record<string, number> = { 1: 4, 2: 2, 4: 1, 8: 0.5, 6: 0.25 };

interface Parts {
  letter: number;
  alteration: number;
  octave: number;
}

function parts(pitch: string): Parts {
  const match = /^([A-G])(bb|b|##|#)?(-?\d+)$/.exec(pitch);
  const signs = match?.[2] ?? '';
  return {
    letter: LETTERS.indexOf(match?.[1] ?? 'C'),
    alteration: signs.startsWith('b') ? -signs.length : signs.length,
    octave: Number(match?.[3] ?? 4),
  };
}

function text({ letter, alteration, octave }: Parts): string {
  const sign = alteration < 0 ? 'b'.repeat(-alteration) : '#'.repeat(alteration);
  return `${LETTERS[letter] ?? 'C'}${sign}${octave}`;
}

/** The key on a piano a pitch is. */
export function midiOf(pitch: string): number {
  const { letter, alteration, octave } = parts(pitch);
  return 12 * (octave + 1) + (SEMITONES[letter] ?? 0) + alteration;
}

/** Steps of the staff from C0. */
export function stepOf(pitch: string): number {
  const { letter, octave } = parts(pitch);
  return 7 * octave + letter;
}

/** Half steps by which a key moves a letter, `F` in G major by one. */
export function inKey(letter: number, fifths: number): number {
  const name = LETTERS[letter] ?? 'C';
  if (fifths > 0) {
    return SHARPS.indexOf(name) < fifths ? 1 : 0;
  }
  return 6 - SHARPS.indexOf(name) < -fifths ? -1 : 0;
}

/** Sharps of a key, flats as less than none: `F♯ minor` has three. */
export function fifthsOf(key: string): number {
  const [tonic = 'C', mode = 'major'] = key.split(' ');
  const sharps = (tonic.match(/[♯#]/g) ?? []).length - (tonic.slice(1).match(/[♭b]/g) ?? []).length;
  const fifths = SHARPS.indexOf(tonic.charAt(0)) - 1 + 7 * sharps;
  return mode === 'minor' ? fifths - 3 : fifths;
}

/** The pitch at a step of the staff, as the key has it. */
export function atStep(step: number, fifths: number): string {
  const letter = ((step % 7) + 7) % 7;
  return text({ letter, alteration: inKey(letter, fifths), octave: Math.floor(step / 7) });
}

/** The pitch of a letter nearest to the note before, as the key has it. */
export function nearest(letter: string, fifths: number, before: string | undefined): string {
  const index = LETTERS.indexOf(letter.toUpperCase());
  const from = stepOf(before ?? MIDDLE);
  const away = (((index - from) % 7) + 7) % 7;
  return atStep(from + (away > 3 ? away - 7 : away), fifths);
}

/** A sounding pitch by its name in the key, else with the key's signs. */
export function spelled(midi: number, fifths: number): string {
  const octave = Math.floor(midi / 12) - 1;
  for (let letter = 0; letter < 7; letter++) {
    const alteration = inKey(letter, fifths);
    for (const o of [octave - 1, octave, octave + 1]) {
      const pitch = text({ letter, alteration, octave: o });
      if (midiOf(pitch) === midi) {
        return pitch;
      }
    }
  }
  for (const alteration of fifths < 0 ? [0, -1] : [0, 1]) {
    const letter = SEMITONES.findIndex((s) => s === (midi - alteration) % 12);
    if (letter >= 0) {
      return text({ letter, alteration, octave: Math.floor((midi - alteration) / 12) - 1 });
    }
  }
  return MIDDLE;
}

function playable(pitch: string): boolean {
  const midi = midiOf(pitch);
  return midi >= LOWEST_MIDI && midi <= HIGHEST_MIDI;
}

/** The tune with a note, or silence, in the place of what was there; what is cut keeps its other end. */
export function put(notes: TuneNote[], from: number, beats: number, pitch: string | null): TuneNote[] {
  const until = from + beats;
  const kept = notes.flatMap((note) => {
    const end = note.from + note.beats;
    if (end <= from + SAME || note.from >= until - SAME) {
      return [note];
    }
    const before = from - note.from;
    return before > SAME ? [{ ...note, beats: before }] : [];
  });
  return (pitch === null ? kept : [...kept, { from, beats, pitch }]).sort((a, b) => a.from - b.from);
}

/** The note that ends at a place or sounds there; undefined for none. */
export function noteBefore(notes: TuneNote[], at: number): TuneNote | undefined {
  return notes.find((note) => note.from < at - SAME && at <= note.from + note.beats + SAME);
}

function replaced(notes: TuneNote[], note: TuneNote, pitch: string): TuneNote[] {
  return playable(pitch) ? notes.map((n) => (n === note ? { ...n, pitch } : n)) : notes;
}

/** A note so many steps of the scale up or down. */
export function stepped(notes: TuneNote[], note: TuneNote, steps: number, fifths: number): TuneNote[] {
  return replaced(notes, note, atStep(stepOf(note.pitch) + steps, fifths));
}

/** A note sharpened or flattened, no further than a sharp or a flat. */
export function altered(notes: TuneNote[], note: TuneNote, by: 1 | -1): TuneNote[] {
  const at = parts(note.pitch);
  const alteration = Math.max(-1, Math.min(1, at.alteration + by));
  return replaced(notes, note, text({ ...at, alteration }));
}

/** A note that lasts longer, over what follows it. */
export function held(notes: TuneNote[], note: TuneNote, beats: number): TuneNote[] {
  return put(notes, note.from, note.beats + beats, note.pitch);
}

/**
 * The notes from a place on, at the times that were tapped: each lasts to the next tap, the last as long as it did.
 *
 * @param taps milliseconds, rising
 * @param grid shortest share of a beat
 */
export function retimed(
  notes: TuneNote[],
  at: number,
  taps: number[],
  tempo: number,
  grid: number,
): TuneNote[] {
  const first = notes.findIndex((note) => note.from >= at - SAME);
  if (first < 0 || taps.length < 2) {
    return notes;
  }
  const moving = notes.slice(first, first + taps.length);
  const start = moving[0]?.from ?? at;
  let from = start;
  let timed = notes.filter((note) => !moving.includes(note));
  for (const [i, note] of moving.entries()) {
    const [now, next] = [taps[i] ?? 0, taps[i + 1]];
    const beats =
      next === undefined
        ? note.beats
        : Math.max(grid, Math.round(((next - now) / 60_000) * tempo * (1 / grid)) * grid);
    timed = put(timed, from, beats, note.pitch);
    from += beats;
  }
  return timed;
}

/** Where the bars end: the tune cannot go on behind it. */
export function within(notes: TuneNote[], end: number): TuneNote[] {
  return notes
    .filter((note) => note.from < end - SAME)
    .map((note) => (note.from + note.beats > end ? { ...note, beats: end - note.from } : note));
}
