import { useKey } from '../../shared/useKey';
import { cheaper, dearer, type Step } from './why/otherGrips';
import { useAlternatives } from './why/useAlternatives';
import { usePlacement, useWork } from './state/BenchWork';

/** The keys of the bench, for a hand that holds a guitar. */
export function useBenchKeys({
  onHelp,
  onLoop,
  onPlay,
  onTexture,
  onTune,
  onVoices,
}: {
  onHelp: () => void;
  onLoop: () => void;
  onPlay: () => void;
  onTexture: () => void;
  onTune: () => void;
  onVoices: () => void;
}): void {
  const { arrangement, arranged, place, choose, decide, dispatch } = useWork();
  const placement = usePlacement();
  const alternatives = useAlternatives(arranged, placement);
  const there = arrangement !== undefined;
  const last = (arrangement?.placements.length ?? 0) - 1;
  useKey('help', onHelp, there);
  useKey('play', onPlay, there);
  useKey('loop', onLoop, there);
  useKey('texture', onTexture, there);
  useKey('tune', onTune, there);
  useKey('voices', onVoices, there);
  useKey('next', () => choose(place === null ? 0 : Math.min(last, place + 1)), there);
  useKey('previous', () => choose(place === null ? 0 : Math.max(0, place - 1)), there);
  useKey('whole', () => choose(null), there);
  useKey('undo', () => dispatch({ type: 'undo' }), there);
  useKey('redo', () => dispatch({ type: 'redo' }), there);
  useKey('rung', (event) => decide({ rung: digit(event) }), there);
  useKey('capo', (event) => decide({ capo: digit(event) }), there);

  const shape = placement?.grip?.shape;
  const take = (step: Step) => {
    if (!step || !placement) {
      return false;
    }
    const at = { placement: placement.placement, part: placement.part };
    dispatch(
      step.kind === 'take'
        ? { type: 'lock', locks: [{ ...at, frets: step.frets }], capo: arrangement?.capo.chosen ?? 0 }
        : { type: 'unlock', ...at },
    );
    return true;
  };
  const held = there && shape !== undefined;
  useKey('dearer', () => take(dearer(alternatives)), held);
  useKey('cheaper', () => take(placement ? cheaper(placement, alternatives) : null), held);
  useKey(
    'lock',
    () => take(placement?.locked ? { kind: 'release' } : { kind: 'take', frets: shape ?? '' }),
    held,
  );
}

function digit(event: KeyboardEvent): number {
  return Number(event.code.slice(-1));
}
