import type { Arrangement } from '../../api/client';
import { counted, timeWords } from '../../shared/words';

/** The whole answer in one line: capo, shapes, right hand, the tempo it holds and its one hard change. */
export function answer(arrangement: Arrangement): string {
  const { capo, rightHand, newShapes, placements, fastestTempo } = arrangement;
  const worst = capo.candidates.find((c) => c.capo === capo.chosen)?.worstChange;
  const from = worst && placements[worst.from]?.played;
  const to = worst && placements[worst.to];
  const verdict = worst ? timeWords(worst).verdict : 'fits';
  const hard =
    from && to
      ? `hardest ${from} to ${to.played ?? 'no chord'} in bar ${to.bar}${verdict === 'fits' ? '' : `, ${verdict}`}`
      : '';
  const hands =
    arrangement.octave === null ? [...new Set(rightHand.sections.map((s) => s.name))] : ['tune on top'];
  return [
    capo.chosen === 0 ? 'no capo' : `shapes in ${arrangement.playedKey}, capo ${capo.chosen}`,
    counted(newShapes.length, 'shape'),
    hands.length > 0 ? hands.join(' and ') : '',
    `holds up to ${fastestTempo}`,
    hard,
  ]
    .filter((fact) => fact !== '')
    .join(' · ');
}
