import { useSearchParams } from 'react-router';
import { STANDARD } from '../../shared/tunings';

/** What the map shows, kept in the address: a link is a map. */
export interface MapPlace {
  kind: 'chord' | 'scale';
  chord: string;
  root: string;
  scale: string;
  tuning: string;
  capo: number;
  /** Where the hand stands; null for nowhere. */
  fret: number | null;
  playerId: number | null;
  labels: 'degrees' | 'notes';
  /** The chords of a song, in its order; none without a song. */
  chords: string[];
  key: string;
  song: number | null;
}

const CHORD = 'C';

function fretOf(text: string | null): number | null {
  return text === null || text === '' || !/^\d+$/.test(text) ? null : Math.min(24, Number(text));
}

/** Reads an address. */
export function mapPlace(params: URLSearchParams): MapPlace {
  const chords = (params.get('chords') ?? '').split(' ').filter((chord) => chord !== '');
  return {
    kind: params.has('scale') ? 'scale' : 'chord',
    chord: params.get('chord') ?? chords[0] ?? CHORD,
    root: params.get('root') ?? 'C',
    scale: params.get('scale') ?? 'major',
    tuning: params.get('tuning') ?? STANDARD,
    capo: Math.min(11, Math.max(0, Number(params.get('capo')) || 0)),
    fret: fretOf(params.get('fret')),
    playerId: Number(params.get('player')) || null,
    labels: params.get('labels') === 'notes' ? 'notes' : 'degrees',
    chords,
    key: params.get('key') ?? '',
    song: Number(params.get('song')) || null,
  };
}

/** What changes in the address; null takes a word out of it. */
export type MapChange = Partial<
  Record<
    'chord' | 'root' | 'scale' | 'tuning' | 'capo' | 'fret' | 'player' | 'labels' | 'key',
    string | number | null
  >
>;

export function useMapPlace(): [MapPlace, (change: MapChange) => void] {
  const [params, setParams] = useSearchParams();
  const change = (to: MapChange) =>
    setParams(
      (before) => {
        const next = new URLSearchParams(before);
        for (const [name, value] of Object.entries(to)) {
          if (value === null) {
            next.delete(name);
          } else {
            next.set(name, String(value));
          }
        }
        return next;
      },
      { replace: true },
    );
  return [mapPlace(params), change];
}
