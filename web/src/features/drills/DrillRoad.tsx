import '../../shared/road/road.css';
import { useMemo } from 'react';
import type { Neck, PlannedDrill } from '../../api/client';
import { useLeftHanded } from '../../shared/hand';
import { fretY, labelled, roadFor } from '../../shared/road/handRoad';
import { RoadGrip } from '../../shared/road/RoadGrip';
import { RoadThreads } from '../../shared/road/RoadThreads';

const COLUMN = 170;
const HEIGHT = 250;
const AXIS = 34;

/** The fingers' ways of one change, large: what stays, slides, travels and lands between two grips. */
export function DrillRoad({ drill, neck }: { drill: PlannedDrill; neck: Neck }) {
  const leftHanded = useLeftHanded();
  const { from, to, acts, capo } = drill;
  const places = useMemo(() => [from, to].map((grip, index) => ({ grip, index, top: null })), [from, to]);
  const road = useMemo(
    () => roadFor(neck, [{ placements: places, capo }], COLUMN, HEIGHT, leftHanded),
    [neck, places, capo, leftHanded],
  );
  if (!from || !to || acts.length === 0) {
    return null;
  }
  const frets = Array.from({ length: road.highestFret }, (_, i) => i + 1);
  const landing = new Set(acts.filter((act) => act.act === 'lands').map((act) => act.finger));
  return (
    <svg
      width={AXIS + 2 * COLUMN}
      height={HEIGHT}
      className="road"
      role="img"
      aria-label={`The fingers' ways from ${from.shape} to ${to.shape}`}
      data-testid="drill-road"
      style={{ maxWidth: '100%' }}
      viewBox={`0 0 ${AXIS + 2 * COLUMN} ${HEIGHT}`}
    >
      {labelled(road, capo, frets).map((fret) => (
        <text
          key={fret}
          x={AXIS - 10}
          y={fretY(road, capo, fret) + 5}
          textAnchor="end"
          className="road-figure"
        >
          {fret}
        </text>
      ))}
      <text x={AXIS - 6} y={fretY(road, capo, 0) + 5} textAnchor="end" className="road-figure">
        {capo === 0 ? 'nut' : 'capo'}
      </text>
      <g transform={`translate(${AXIS} 0)`}>
        <rect width={2 * COLUMN} height={HEIGHT} className="road-ground" />
        {[0, ...frets].map((fret) => (
          <line
            key={fret}
            x1={0}
            x2={2 * COLUMN}
            y1={fretY(road, capo, fret)}
            y2={fretY(road, capo, fret)}
            className={fret === 0 ? 'road-nut' : 'road-fret'}
          />
        ))}
        <RoadThreads road={road} capo={capo} change={{ from: 0, to: 1, acts }} placements={places} />
        {places.map((placement) => (
          <RoadGrip
            key={placement.index}
            road={road}
            capo={capo}
            placement={placement}
            landing={placement.index === 1 ? landing : new Set()}
            selected={false}
            sounding={false}
          />
        ))}
      </g>
    </svg>
  );
}
