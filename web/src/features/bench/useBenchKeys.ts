import { useEffect } from 'react';
import type { Alternative, Arrangement, Placement } from '../../api/client';
import { isTyping } from '../../shared/keys';
import { cheaper, dearer, type Step } from './otherGrips';
import type { BenchDispatch } from './useBench';

/** The keys of the bench, for a hand that holds a guitar. */
export function useBenchKeys(
  arrangement: Arrangement | undefined,
  selected: number | null,
  alternatives: Alternative[],
  select: (placement: number | null) => void,
  dispatch: BenchDispatch,
  others: { onHelp: () => void; onLoop: () => void; onPlay: () => void },
) {
  const { onHelp, onLoop, onPlay } = others;
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!arrangement || isTyping(event.target) || document.querySelector('[role="dialog"]')) {
        return;
      }
      if (event.key === '?') {
        event.preventDefault();
        onHelp();
        return;
      }
      if (event.key === ' ' && !(event.target instanceof HTMLElement && event.target.closest('button, a'))) {
        event.preventDefault();
        onPlay();
        return;
      }
      if (event.key === 'o' && !event.ctrlKey && !event.metaKey) {
        event.preventDefault();
        onLoop();
        return;
      }
      const placement = selected === null ? undefined : arrangement.placements[selected];
      const action =
        gripAction(event.key, placement, alternatives, dispatch) ??
        keyAction(event, arrangement, selected, select, dispatch);
      if (action) {
        event.preventDefault();
        action();
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [arrangement, selected, alternatives, select, dispatch, onHelp, onLoop, onPlay]);
}

function keyAction(
  event: KeyboardEvent,
  arrangement: Arrangement,
  selected: number | null,
  select: (placement: number | null) => void,
  dispatch: BenchDispatch,
): (() => void) | null {
  const digit = /^Digit(\d)$/.exec(event.code)?.[1];
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z') {
    return () => dispatch({ type: event.shiftKey ? 'redo' : 'undo' });
  }
  if (event.ctrlKey || event.metaKey || event.altKey) {
    return null;
  }
  if (digit && event.shiftKey) {
    return () => dispatch({ type: 'decide', change: { capo: Number(digit) } });
  }
  if (digit && digit >= '1' && digit <= '5') {
    return () => dispatch({ type: 'decide', change: { rung: Number(digit) } });
  }
  const last = arrangement.placements.length - 1;
  switch (event.key) {
    case 'ArrowRight':
      return () => select(selected === null ? 0 : Math.min(last, selected + 1));
    case 'ArrowLeft':
      return () => select(selected === null ? 0 : Math.max(0, selected - 1));
    case 'Escape':
      return () => select(null);
    default:
      return null;
  }
}

/** Down takes the next dearer grip, up the next cheaper one, l keeps or gives back the one that is held. */
function gripAction(
  key: string,
  placement: Placement | undefined,
  alternatives: Alternative[],
  dispatch: BenchDispatch,
): (() => void) | null {
  if (!placement?.grip) {
    return null;
  }
  const at = { placement: placement.placement, part: placement.part };
  const { shape } = placement.grip;
  const steps: Record<string, () => Step> = {
    ArrowDown: () => dearer(alternatives),
    ArrowUp: () => cheaper(placement, alternatives),
    l: () => (placement.locked ? { kind: 'release' } : { kind: 'take', frets: shape }),
  };
  const step = steps[key]?.() ?? null;
  if (!step) {
    return null;
  }
  return () =>
    dispatch(
      step.kind === 'take'
        ? { type: 'lock', locks: [{ ...at, frets: step.frets }] }
        : { type: 'unlock', ...at },
    );
}
