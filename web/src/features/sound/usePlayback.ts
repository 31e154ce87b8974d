import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Part } from '../../api/client';
import { beatOf, clockAt, placeAt, strokes, stretchOf } from './schedule';
import type { Levels, Player } from './player';

/** How a song is played back. */
export interface PlaybackWishes {
  /** Part of the written tempo, 0.3 to 1.2. */
  rate: number;
  click: boolean;
  countIn: boolean;
  /** 0 to 1. */
  volume: number;
  levels: Levels;
  /** Whether each time round a loop is a little faster, up to the tempo it holds. */
  buildUp: boolean;
  /** Whether a silent bar is counted between two times round. */
  rest: boolean;
}

/** How it is played back at first: slower, counted and clicked only when somebody asks. */
export const FIRST_WISHES: PlaybackWishes = {
  rate: 1,
  click: false,
  countIn: false,
  volume: 0.4,
  levels: { first: 1, second: 1, click: 0.5 },
  buildUp: false,
  rest: false,
};

/** So much faster is each time round. */
const STEP = 0.05;

/** What is to be played. */
export interface Heard {
  /** The first guitar's part, and the second's if there is one. */
  parts: Part[];
  /** Beats a minute as decided. */
  tempo: number;
  /** Beats a minute up to which every change is in time, in the loop if there is one. */
  holds: number;
  loop: { from: number; to: number } | null;
  /** Place to begin at; null for the beginning. */
  place: number | null;
}

/** Plays one or two parts; says which bar, beat and place sound. The sound is fetched when it is first wanted. */
export function usePlayback({ parts, tempo, holds, loop, place }: Heard) {
  const [wishes, setWishes] = useState(FIRST_WISHES);
  const [playing, setPlaying] = useState(false);
  const [beat, setBeat] = useState<number | null>(null);
  const [counted, setCounted] = useState<number | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const player = useRef<Player>(undefined);
  const first = parts[0];
  const all = useMemo(() => (first ? strokes(first) : []), [first]);
  const { rate, click, countIn, volume, levels, rest, buildUp } = wishes;
  const wanted = useMemo(
    () => ({ parts, loop, rest, click, volume, levels, tempo: tempo * rate }),
    [parts, loop, rest, click, volume, levels, tempo, rate],
  );
  const wish = useCallback((change: Partial<PlaybackWishes>) => setWishes((w) => ({ ...w, ...change })), []);

  const stop = useCallback(() => {
    player.current?.stop();
    setPlaying(false);
    setBeat(null);
    setCounted(null);
  }, []);

  const most = Math.min(1, Math.floor((20 * holds) / tempo) / 20);
  const goFaster = useRef<() => void>(() => undefined);
  useEffect(() => {
    goFaster.current = () => buildUp && setWishes((w) => ({ ...w, rate: faster(w.rate, most) }));
  }, [buildUp, most]);

  const start = useCallback(async () => {
    const from = place === null ? null : beatOf(all, place);
    const begin = from ?? (first ? stretchOf(first, loop).from : 0);
    try {
      if (!player.current) {
        const { Player } = await import('./player');
        player.current = new Player();
      }
      await player.current.play(wanted, begin, countIn, () => goFaster.current());
      setFailure(null);
      setPlaying(true);
    } catch {
      setFailure('This browser gives no sound. Everything else works without it.');
    }
  }, [all, first, loop, place, wanted, countIn]);

  const toggle = useCallback(() => {
    if (playing) {
      stop();
    } else if (first) {
      void start();
    }
  }, [playing, first, start, stop]);

  // Another part, loop or tempo takes effect from where the song is.
  useEffect(() => {
    if (playing) {
      player.current?.update(wanted);
    }
  }, [wanted, playing]);

  useEffect(() => {
    if (!playing) {
      return;
    }
    let frame = 0;
    const follow = () => {
      if (player.current?.hasEnded()) {
        stop();
        return;
      }
      const now = player.current?.beat() ?? null;
      setCounted(now === null ? null : (player.current?.counted(now) ?? null));
      setBeat((before) =>
        now === null || before === null || Math.floor(now * 4) !== Math.floor(before * 4) ? now : before,
      );
      frame = requestAnimationFrame(follow);
    };
    frame = requestAnimationFrame(follow);
    return () => cancelAnimationFrame(frame);
  }, [playing, stop]);

  useEffect(() => {
    window.addEventListener('pagehide', stop);
    return () => {
      window.removeEventListener('pagehide', stop);
      player.current?.dispose();
    };
  }, [stop]);

  const isSounding = beat !== null && counted === null;
  return {
    playing,
    toggle,
    stop,
    wishes,
    wish,
    /** Beats a minute as they sound. */
    sounds: Math.round(tempo * rate),
    clock: first && isSounding ? clockAt(first, beat) : null,
    /** How many beats of the bar before the song were counted; null when none are. */
    counted,
    place: isSounding ? placeAt(all, beat) : null,
    failure,
  };
}

function faster(rate: number, most: number): number {
  return rate >= most ? rate : Math.min(most, Math.round(20 * (rate + STEP)) / 20);
}

export type Playback = ReturnType<typeof usePlayback>;
