import type { Placement, Readings } from '../../../api/client';
import { useArranged, useWork } from '../state/BenchWork';
import { decide, reach, type Scope, type Stand } from './readings';

/** What the panel may do to a placement. */
export function useWhyActions(placement: Placement) {
  const { decisions, dispatch } = useWork();
  const arrangement = useArranged();
  const at = (p: Placement) => ({ placement: p.placement, part: p.part });
  const capo = arrangement.capo.chosen;
  return {
    take: (frets: string) => dispatch({ type: 'lock', locks: [{ ...at(placement), frets }], capo }),
    takeFingered: (frets: string, fingers: string | null) =>
      dispatch({ type: 'lock', locks: [{ ...at(placement), frets, fingers }], capo }),
    release: () => dispatch({ type: 'unlock', ...at(placement) }),
    releaseSection: () =>
      dispatch({
        type: 'release',
        placements: arrangement.placements
          .filter((p) => p.section === placement.section)
          .map((p) => p.placement),
      }),
    keepRegion: (lowestFret: number, highestFret: number, wholeSection: boolean) =>
      dispatch({
        type: 'lock',
        locks: arrangement.placements
          .filter((p) => (wholeSection ? p.section === placement.section : p === placement))
          .map((p) => ({ ...at(p), lowestFret, highestFret })),
        capo,
      }),
    fill: (fill: string | null) =>
      dispatch({
        type: 'decide',
        change: {
          fills: [
            ...decisions.fills.filter(
              (f) => f.placement !== placement.placement || (f.part ?? 0) !== placement.part,
            ),
            ...(fill === null ? [] : [{ ...at(placement), fill }]),
          ],
        },
      }),
    read: (readings: Readings, reading: string, stand: Stand | null, scope: Scope) =>
      dispatch({
        type: 'read',
        ...decide(decisions.readings, reach(readings, placement.placement, reading, scope), reading, stand),
      }),
  };
}
