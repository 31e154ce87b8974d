import { useCallback } from 'react';
import { useSearchParams } from 'react-router';
import { readShape, shapeText, type Frets } from '../../shared/neck';
import { STANDARD, stringsOf } from '../../shared/tunings';

/** What lies on the desk, kept in the address: a link is a shape. */
export interface DeskPlace {
  frets: Frets;
  tuning: string;
  capo: number;
  key: string;
  /** A shape put aside to compare; null for none. */
  aside: string | null;
  playerId: number | null;
  /** The place of a song it came from. */
  from: { song: number; placement: number; part: number; chord: string } | null;
}

/** What goes along with an address that the desk itself has written: it is the same desk still. */
export interface DeskState {
  desk: string;
}

/** @param desk which desk it is, the same until somebody else changes the address */
export function useDeskPlace(desk: string): [DeskPlace, (change: Partial<Omit<DeskPlace, 'from'>>) => void] {
  const [params, setParams] = useSearchParams();
  const tuning = params.get('tuning') ?? STANDARD;
  const strings = stringsOf(tuning);
  const place: DeskPlace = {
    frets: readShape(params.get('frets') ?? '', strings) ?? Array.from({ length: strings }, () => 0),
    tuning,
    capo: Math.min(11, Math.max(0, Number(params.get('capo')) || 0)),
    key: params.get('key') ?? '',
    aside: asideOf(params.get('aside'), strings),
    playerId: Number(params.get('player')) || null,
    from: params.has('song')
      ? {
          song: Number(params.get('song')),
          placement: Number(params.get('placement')),
          part: Number(params.get('part')) || 0,
          chord: params.get('chord') ?? '',
        }
      : null,
  };
  const change = useCallback(
    (to: Partial<Omit<DeskPlace, 'from'>>) =>
      setParams(
        (before) => {
          const next = new URLSearchParams(before);
          if (to.frets) {
            next.set('frets', shapeText(to.frets));
          }
          if (to.tuning !== undefined) {
            next.set('tuning', to.tuning);
          }
          if (to.capo !== undefined) {
            next.set('capo', String(to.capo));
          }
          if (to.key !== undefined) {
            next.set('key', to.key);
          }
          if (to.aside !== undefined) {
            if (to.aside === null) {
              next.delete('aside');
            } else {
              next.set('aside', to.aside);
            }
          }
          if (to.playerId !== undefined) {
            next.set('player', String(to.playerId ?? ''));
          }
          return next;
        },
        { replace: true, state: { desk } satisfies DeskState },
      ),
    [setParams, desk],
  );
  return [place, change];
}

function asideOf(text: string | null, strings: number): string | null {
  const frets = readShape(text ?? '', strings);
  return frets && shapeText(frets);
}
