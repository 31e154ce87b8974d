import { memo } from 'react';
import type { Placement } from '../../api/client';
import { pressY, stringX, type Road } from './handRoad';

const DOT = 9;

/** One grip on the road: six strings, dots at their true height, open and silent strings under the capo. */
export const RoadGrip = memo(function RoadGrip({
  road,
  capo,
  placement,
  landing,
  selected,
  sounding,
  onSelect,
}: {
  road: Road;
  capo: number;
  placement: Pick<Placement, 'grip' | 'index' | 'top'>;
  landing: Set<string>;
  selected: boolean;
  sounding: boolean;
  /** Missing where there is nothing to choose. */
  onSelect?: () => void;
}) {
  const { grip, index, top } = placement;
  const strings = Array.from({ length: road.strings }, (_, s) => s);
  return (
    <g onClick={onSelect} style={onSelect && { cursor: 'pointer' }} data-grip={grip?.shape ?? ''}>
      <rect
        x={road.column * index + 2}
        y={2}
        width={road.column - 4}
        height={road.height - 4}
        rx={6}
        className={sounding ? 'road-sounding' : selected ? 'road-selected' : 'road-hit'}
      />
      {strings.map((s) => (
        <line
          key={s}
          x1={stringX(road, index, s)}
          x2={stringX(road, index, s)}
          y1={road.top + 8}
          y2={road.ground}
          className="road-string"
        />
      ))}
      {grip?.frets.map((fret, s) =>
        fret === null || fret === 0 ? (
          <text
            key={s}
            x={stringX(road, index, s)}
            y={road.ground + 16}
            textAnchor="middle"
            className="road-mark"
          >
            {fret === 0 ? 'o' : '×'}
          </text>
        ) : null,
      )}
      {grip &&
        grip.holds.map((hold) => {
          const x = stringX(road, index, hold.from);
          const y = pressY(road, capo, hold.fret);
          const lands = landing.has(hold.finger);
          return (
            <g
              key={hold.finger}
              className={`finger${lands ? ' finger-lands' : ''}${sounding ? ' finger-sounding' : ''}`}
            >
              {hold.to > hold.from && (
                <line x1={x} x2={stringX(road, index, hold.to)} y1={y} y2={y} className="finger-barre" />
              )}
              <circle cx={x} cy={y} r={DOT} className="finger-dot" />
              <text x={x} y={y + 4.2} textAnchor="middle" className="finger-number">
                {hold.finger}
              </text>
            </g>
          );
        })}
      {top && grip && (
        <circle
          cx={stringX(road, index, road.strings - top.string)}
          cy={top.fret === 0 ? road.ground + 12 : pressY(road, capo, top.fret)}
          r={DOT + 4}
          className="finger-top"
        />
      )}
    </g>
  );
});
