import type { Change, Grip, SecondPart } from '../api/client';

type Act = Change['acts'][number];

/** What a finger does, in words: {@code travels from string 5 fret 3 to string 4 fret 2, 47 mm}. */
export function actWords(act: Act, before: Grip | null, after: Grip): string {
  const left = before && place(before, act.finger);
  const reached = place(after, act.finger);
  const mm = act.distanceMm >= 0.5 ? `, ${Math.round(act.distanceMm)} mm` : '';
  switch (act.act) {
    case 'stays':
      return `stays on ${reached ?? ''}`;
    case 'slides':
      return `slides to ${reached ?? ''}${mm}`;
    case 'travels':
      return `travels to ${reached ?? ''}${mm}`;
    case 'lands':
      return `lands on ${reached ?? ''}`;
    default:
      return `lifts off ${left ?? ''}`;
  }
}

/** Where a finger presses, as players count: string 1 is the highest. */
function place(grip: Grip, finger: string): string | null {
  const hold = grip.holds.find((h) => h.finger === finger);
  if (!hold) {
    return null;
  }
  const count = grip.frets.length;
  const strings =
    hold.from === hold.to ? `string ${count - hold.from}` : `strings ${count - hold.from}–${count - hold.to}`;
  return `${strings}, fret ${hold.fret}`;
}

export type Verdict = 'fits' | 'tight' | 'late';

const TIGHT_SHARE = 0.9;

export function timeWords(change: Pick<Change, 'neededSeconds' | 'availableSeconds'>): {
  text: string;
  verdict: Verdict;
} {
  const { neededSeconds: needs, availableSeconds: has } = change;
  const verdict = needs > has ? 'late' : needs > TIGHT_SHARE * has ? 'tight' : 'fits';
  const word = { fits: 'there is time', tight: 'tight', late: 'too late' }[verdict];
  return { text: `needs ${needs.toFixed(2)} s, has ${has.toFixed(2)} s: ${word}`, verdict };
}

/** The fingers of a grip, a sign a string from the lowest: {@code -32-1-}. */
export function fingersOf(grip: Grip): string {
  return grip.fingers.map((finger) => finger ?? '-').join('');
}

/** A price with its sign, as it stands beside a grip. */
export function priceWords(price: number): string {
  return `${price < 0 ? '−' : '+'}${Math.abs(price).toFixed(1)}`;
}

/** How far a tune is moved, in words. */
export function moveWords(semitones: number): string {
  const far = Math.abs(semitones);
  return semitones === 0
    ? 'as written'
    : `${far} semitone${far === 1 ? '' : 's'} ${semitones > 0 ? 'up' : 'down'}`;
}

/** How far a second guitar keeps out of the first one's way. */
export function overlapWords(
  second: Pick<SecondPart, 'sharedPlaces' | 'sharedPitches' | 'registerSemitones'>,
): string {
  const percent = (share: number) => `${Math.round(100 * share)} %`;
  const higher = Math.round(second.registerSemitones);
  const where =
    higher === 0
      ? 'in the same register'
      : `${Math.abs(higher)} semitones ${higher > 0 ? 'higher' : 'lower'}`;
  return `${percent(second.sharedPlaces)} of its notes on the first one's strings and frets, ${percent(
    second.sharedPitches,
  )} at the same pitch, ${where}`;
}

/** Textures as players call them. */
const TEXTURES: Record<string, string> = {
  led: 'led voices',
  triads: 'top strings',
  drop2: 'drop 2',
  drop3: 'drop 3',
  power: 'power chords',
  dropped: 'dropped strings',
};

/** A texture by its id. */
export function textureName(id: string): string {
  return TEXTURES[id] ?? (id.startsWith('own: ') ? 'one of your own' : id);
}

/** A number with its noun: {@code 1 bar}, {@code 2 bars}. */
export function counted(count: number, noun: string): string {
  return `${count} ${noun}${count === 1 ? '' : 's'}`;
}
