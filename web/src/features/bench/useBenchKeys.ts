import { useEffect } from 'react';
import type { Arrangement } from '../../api/client';
import type { BenchDispatch } from './useBench';

/** The keys of the bench, for a hand that holds a guitar. */
export function useBenchKeys(
  arrangement: Arrangement | undefined,
  selected: number | null,
  select: (placement: number | null) => void,
  dispatch: BenchDispatch,
  onHelp: () => void,
) {
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
      const action = keyAction(event, arrangement, selected, select, dispatch);
      if (action) {
        event.preventDefault();
        action();
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [arrangement, selected, select, dispatch, onHelp]);
}

function isTyping(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.matches('input, textarea, select, [contenteditable]');
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
    case 'ArrowDown':
      return otherGrip(arrangement, selected, dispatch);
    case 'ArrowUp':
      return selected === null ? null : () => dispatch({ type: 'unlock', placement: selected });
    case 'l':
      return toggleLock(arrangement, selected, dispatch);
    default:
      return null;
  }
}

/** Takes the cheapest other grip of the chosen placement. */
function otherGrip(arrangement: Arrangement, selected: number | null, dispatch: BenchDispatch) {
  const other = selected === null ? undefined : arrangement.placements[selected]?.alternatives[0];
  return other && selected !== null
    ? () => dispatch({ type: 'lock', placement: selected, frets: other.grip.shape })
    : null;
}

function toggleLock(arrangement: Arrangement, selected: number | null, dispatch: BenchDispatch) {
  const placement = selected === null ? undefined : arrangement.placements[selected];
  const grip = placement?.grip;
  if (!placement || !grip) {
    return null;
  }
  return placement.locked
    ? () => dispatch({ type: 'unlock', placement: placement.index })
    : () => dispatch({ type: 'lock', placement: placement.index, frets: grip.shape });
}
