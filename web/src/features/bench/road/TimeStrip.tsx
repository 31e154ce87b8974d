import type { Change } from '../../../api/client';
import { timeBar, type Road } from '../../../shared/road/handRoad';

const HEIGHT = 26;

/** Under each change: the time it needs against the time there is. */
export function TimeStrip({ road, width, changes }: { road: Road; width: number; changes: Change[] }) {
  return (
    <svg width={width} height={HEIGHT} className="road" role="img" aria-label="Time of each change">
      {changes.map((change) => {
        const bar = timeBar(road, change);
        const late = change.neededSeconds - change.availableSeconds;
        return (
          <g key={change.to}>
            <rect x={bar.x} y={3} width={bar.width} height={9} className="time-available" />
            <rect x={bar.x} y={3} width={bar.needed} height={9} className={`time-${bar.verdict}`} />
            <line x1={bar.x + bar.width} x2={bar.x + bar.width} y1={1} y2={14} className="time-end" />
            {bar.verdict !== 'fits' && (
              <text
                x={bar.x + bar.width / 2}
                y={24}
                textAnchor="middle"
                className={`time-word time-word-${bar.verdict}`}
              >
                {bar.verdict === 'late' ? `${late.toFixed(2)} s late` : 'tight'}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}
