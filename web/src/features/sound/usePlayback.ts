import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Part } from '../../api/client';
import { clockAt, placeAt, soundings } from './schedule';
import type { Player } from './player';

/** How a song is played back. */
export interface PlaybackWishes {
  /** Part of the written tempo, 0.3 to 1.2. */
  rate: number;
  click: boolean;
  countIn: boolean;
  /** 0 to 1. */
  volume: number;
}

const FIRST_WISHES: PlaybackWishes = { rate: 1, click: false, countIn: false, volume: 0.4 };

/** Plays one or two parts; says which bar, beat and place sound. The sound is fetched when it is first wanted. */
export function usePlayback(parts: Part[], tempo: number, loop: { from: number; to: number } | null) {
  const [wishes, setWishes] = useState(FIRST_WISHES);
  const [playing, setPlaying] = useState(false);
  const [beat, setBeat] = useState<number | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const player = useRef<Player>(undefined);
  const first = parts[0];
  const notes = useMemo(() => (first ? soundings(first) : []), [first]);

  const stop = useCallback(() => {
    player.current?.stop();
    setPlaying(false);
    setBeat(null);
  }, []);

  const { rate, click, countIn, volume } = wishes;
  const wanted = useMemo(
    () => ({ parts, loop, click, countIn, tempo: tempo * rate }),
    [parts, loop, click, countIn, tempo, rate],
  );

  const start = useCallback(async () => {
    try {
      if (!player.current) {
        const { Player } = await import('./player');
        player.current = new Player();
      }
      await player.current.play({ ...wanted, volume });
      setFailure(null);
      setPlaying(true);
    } catch {
      setFailure('This browser gives no sound. Everything else works without it.');
    }
  }, [wanted, volume]);

  const toggle = useCallback(() => {
    if (playing) {
      stop();
    } else if (first) {
      void start();
    }
  }, [playing, first, start, stop]);

  // Another part, loop or tempo takes effect at once.
  const played = useRef(wanted);
  useEffect(() => {
    const changed = played.current !== wanted;
    played.current = wanted;
    if (changed && playing) {
      void player.current?.play({ ...wanted, countIn: false, volume });
    }
  }, [wanted, playing, volume]);

  useEffect(() => player.current?.volume(volume), [volume]);

  useEffect(() => {
    if (!playing) {
      return;
    }
    let frame = 0;
    const follow = () => {
      const now = player.current?.beat() ?? null;
      setBeat((before) =>
        now === null || before === null || Math.floor(now * 4) !== Math.floor(before * 4) ? now : before,
      );
      frame = requestAnimationFrame(follow);
    };
    frame = requestAnimationFrame(follow);
    return () => cancelAnimationFrame(frame);
  }, [playing]);

  useEffect(() => () => player.current?.dispose(), []);

  const clock = first && beat !== null ? clockAt(first, beat) : null;
  return {
    playing,
    toggle,
    stop,
    wishes,
    wish: (change: Partial<PlaybackWishes>) => setWishes((w) => ({ ...w, ...change })),
    clock,
    place: beat === null ? null : placeAt(notes, beat),
    failure,
  };
}

export type Playback = ReturnType<typeof usePlayback>;
