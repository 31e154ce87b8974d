import { memo } from 'react';
import type { Grip } from '../../../api/client';
import { pressY, stringX, type Road } from '../../../shared/road/handRoad';

const HALF = 10;

/** What another guitar holds at the same time: empty squares at their true height on the neck. */
export const RoadGhost = memo(function RoadGhost({
  road,
  capo,
  index,
  grip,
}: {
  road: Road;
  capo: number;
  index: number;
  grip: Grip | null;
}) {
  const strung = { ...road, strings: grip?.frets.length ?? road.strings };
  return (
    <g data-beside={grip?.shape ?? ''}>
      {grip &&
        grip.holds.map((hold) => {
          const ends = [stringX(strung, index, hold.from), stringX(strung, index, hold.to)];
          return (
            <rect
              key={hold.finger}
              x={Math.min(...ends) - HALF}
              y={pressY(road, capo, hold.fret) - HALF}
              width={Math.max(...ends) - Math.min(...ends) + 2 * HALF}
              height={2 * HALF}
              className="road-ghost"
            />
          );
        })}
    </g>
  );
});
