import type { Change, Grip, Neck, Placement } from '../../api/client';

export interface Road {
  /** Width of a placement's column. */
  column: number;
  height: number;
  top: number;
  /** Fret at the foot of the road: the capo's, or the lower of two capos; 0 is the nut. */
  base: number;
  /** Y of that fret. */
  ground: number;
  /** Frets drawn above the foot. */
  highestFret: number;
  strings: number;
  /** Drawn for a left-handed player: the lowest string on the right. */
  mirrored: boolean;
  neck: Neck;
}

export interface Thread {
  finger: string;
  act: 'stays' | 'slides' | 'travels' | 'lands' | 'lifts';
  mm: number;
  x1: number;
  y1: number;
  x2: number;
  y2: number;
}

const FEWEST_FRETS = 5;
const STUB = 16;

/** What one guitar plays on the road: frets are counted from its own capo. */
export interface Played {
  placements: Pick<Placement, 'grip'>[];
  capo: number;
}

/** A road high enough for every grip on it, of one guitar or of two. */
export function roadFor(
  neck: Neck,
  guitars: Played[],
  column: number,
  height: number,
  mirrored = false,
): Road {
  const base = Math.min(...guitars.map((g) => g.capo));
  const highest = guitars.flatMap(({ placements, capo }) =>
    placements.flatMap((p) => p.grip?.frets ?? []).map((f) => capo + (f ?? 0)),
  );
  const grip = guitars[0]?.placements.find((p) => p.grip)?.grip;
  return {
    column,
    height,
    top: 10,
    base,
    ground: height - 26,
    highestFret: Math.max(FEWEST_FRETS, 1 + Math.max(0, ...highest) - base),
    strings: grip?.frets.length ?? 6,
    mirrored,
    neck,
  };
}

/** Y of a fret line above a guitar's capo, to true scale. */
export function fretY(road: Road, capo: number, fret: number): number {
  return roadY(road, at(road.neck.frets, capo + fret));
}

function roadY(road: Road, share: number): number {
  const foot = at(road.neck.frets, road.base);
  const part = (share - foot) / (at(road.neck.frets, road.base + road.highestFret) - foot);
  return road.ground - part * (road.ground - road.top - 8);
}

/** A position on the neck; what lies beyond its last fret lies there. */
function at(positions: number[], fret: number): number {
  return positions[Math.min(fret, positions.length - 1)] ?? 0;
}

/** What another guitar plays at each placement of the first: its grip at the same chord of the chart. */
export function beside(placements: Placement[], other: Placement[]): (Grip | null)[] {
  const grips = new Map(other.map((p) => [`${p.placement}.${p.part}`, p.grip]));
  return placements.map(
    (p) => grips.get(`${p.placement}.${p.part}`) ?? grips.get(`${p.placement}.0`) ?? null,
  );
}

const LABEL_HEIGHT = 13;

/** Frets whose numbers have room beside the axis, from the nut up. */
export function labelled(road: Road, capo: number, frets: number[]): number[] {
  let last = road.ground;
  return frets.filter((fret) => {
    const y = fretY(road, capo, fret);
    const fits = last - y >= LABEL_HEIGHT;
    last = fits ? y : last;
    return fits;
  });
}

/** Y of a fingertip. */
export function pressY(road: Road, capo: number, fret: number): number {
  return roadY(road, at(road.neck.presses, capo + fret));
}

export function stringX(road: Road, index: number, string: number): number {
  const inset = road.column * 0.18;
  const from = road.mirrored ? road.strings - 1 - string : string;
  return road.column * index + inset + (from * (road.column - 2 * inset)) / (road.strings - 1);
}

/** What each finger does between two placements, as lines from one to the other. */
export function threadsOf(
  road: Road,
  capo: number,
  change: Pick<Change, 'from' | 'to' | 'acts'>,
  placements: Pick<Placement, 'grip'>[],
): Thread[] {
  const from = placements[change.from]?.grip;
  const to = placements[change.to]?.grip;
  if (!from || !to) {
    return [];
  }
  const before = new Map(from.holds.map((h) => [h.finger, h]));
  const after = new Map(to.holds.map((h) => [h.finger, h]));
  return change.acts.flatMap((act) => {
    const left = before.get(act.finger);
    const reached = after.get(act.finger);
    const start = left && { x: stringX(road, change.from, left.from), y: pressY(road, capo, left.fret) };
    const end = reached && { x: stringX(road, change.to, reached.from), y: pressY(road, capo, reached.fret) };
    const kind = act.act as Thread['act'];
    if (start && end) {
      return [thread(act.finger, kind, act.distanceMm, start, end)];
    }
    if (start) {
      return [thread(act.finger, kind, 0, start, { x: start.x + STUB, y: start.y - STUB / 2 })];
    }
    return end
      ? [thread(act.finger, kind, act.distanceMm, { x: end.x - STUB, y: end.y - STUB / 2 }, end)]
      : [];
  });
}

function thread(
  finger: string,
  act: Thread['act'],
  mm: number,
  start: { x: number; y: number },
  end: { x: number; y: number },
): Thread {
  return { finger, act, mm, x1: start.x, y1: start.y, x2: end.x, y2: end.y };
}

export interface TimeBar {
  x: number;
  width: number;
  needed: number;
  verdict: 'fits' | 'tight' | 'late';
}

const WIDEST = 1.5;
const TIGHT = 0.9;

/** Needed against available time of a change, under the way from one placement to the next. */
export function timeBar(road: Road, change: Change): TimeBar {
  const width = road.column * 0.6;
  const share = change.availableSeconds > 0 ? change.neededSeconds / change.availableSeconds : 0;
  return {
    x: road.column * (change.to + 0.02) - width / 2,
    width,
    needed: width * Math.min(WIDEST, share),
    verdict: share > 1 ? 'late' : share > TIGHT ? 'tight' : 'fits',
  };
}

/** First and last column that are seen, with one more on each side so that threads run out of the picture. */
export function seen(scrollLeft: number, width: number, column: number, count: number): [number, number] {
  const first = Math.max(0, Math.floor(scrollLeft / column) - 1);
  const last = Math.min(count - 1, Math.ceil((scrollLeft + width) / column) + 1);
  return [first, last];
}
