import { memo } from 'react';
import type { Change, Placement } from '../../api/client';
import { threadsOf, type Road, type Thread } from './handRoad';

const LABEL_FROM_COLUMN = 96;
const LABEL_FROM_MM = 25;

/** The fingers' ways between two grips: what a finger does is its line's kind, never its colour alone. */
export const RoadThreads = memo(function RoadThreads({
  road,
  capo,
  change,
  placements,
}: {
  road: Road;
  capo: number;
  change: Pick<Change, 'from' | 'to' | 'acts'>;
  placements: Pick<Placement, 'grip'>[];
}) {
  return (
    <g>
      {threadsOf(road, capo, change, placements).map((thread) => (
        <Line key={thread.finger} thread={thread} labelled={road.column >= LABEL_FROM_COLUMN} />
      ))}
    </g>
  );
});

function Line({ thread, labelled }: { thread: Thread; labelled: boolean }) {
  const { x1, y1, x2, y2, act } = thread;
  if (act === 'slides') {
    return (
      <>
        <line x1={x1} x2={x2} y1={y1 - 2} y2={y2 - 2} className="thread-slides" />
        <line x1={x1} x2={x2} y1={y1 + 2} y2={y2 + 2} className="thread-slides" />
      </>
    );
  }
  const showMm = labelled && act === 'travels' && thread.mm >= LABEL_FROM_MM;
  return (
    <>
      <line x1={x1} x2={x2} y1={y1} y2={y2} className={`thread-${act}`} />
      {showMm && (
        <text
          x={x1 + 0.62 * (x2 - x1)}
          y={y1 + 0.62 * (y2 - y1) - 4}
          textAnchor="middle"
          className="thread-mm"
        >
          {Math.round(thread.mm)}
        </text>
      )}
    </>
  );
}
