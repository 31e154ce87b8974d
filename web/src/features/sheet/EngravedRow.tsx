import { memo } from 'react';
import type { EngravedRow as Row } from '../../api/client';
import { MONO } from '../../theme/theme';
import { MUSIC } from './musicFont';
import './engraving.css';

const FACES: Record<string, { fontFamily?: string; fontWeight?: number }> = {
  PLAIN: {},
  BOLD: { fontWeight: 700 },
  MONO: { fontFamily: MONO },
};

/** Room for the lines at the edges, in points. */
const EDGE = 1;

/** A row of staff and tab, drawn as the server says, so many times larger; on narrower paper it shrinks to it. */
export const EngravedRow = memo(function EngravedRow({
  row,
  width,
  scale,
}: {
  row: Row;
  /** Points. */
  width: number;
  scale: number;
}) {
  return (
    <svg
      className="engraved"
      aria-hidden="true"
      width={(width + 2 * EDGE) * scale}
      viewBox={`${-EDGE} 0 ${width + 2 * EDGE} ${row.height}`}
    >
      {row.lines.map(([x1, y1, x2, y2, wide], i) => (
        <line key={i} x1={x1} y1={y1} x2={x2} y2={y2} strokeWidth={wide} />
      ))}
      {row.blanks.map(([x, y, w, h], i) => (
        <rect key={i} x={x} y={y} width={w} height={h} />
      ))}
      {row.arcs.map(([from = 0, to = 0, y = 0, bend = 0], i) => (
        <path key={i} d={arc(from, to, y, bend)} />
      ))}
      {row.signs.map(({ sign, size, x, y }, i) => (
        <text key={i} x={x} y={y} fontSize={size} fontFamily={MUSIC}>
          {sign}
        </text>
      ))}
      {row.texts.map(({ face, size, x, y, text }, i) => (
        <text key={i} x={x} y={y} fontSize={size} {...FACES[face]}>
          {text}
        </text>
      ))}
    </svg>
  );
});

function arc(from: number, to: number, y: number, bend: number): string {
  const third = (to - from) / 3;
  return `M${from} ${y}C${from + third} ${y + bend} ${to - third} ${y + bend} ${to} ${y}`;
}
