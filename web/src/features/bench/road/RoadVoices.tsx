import { memo, useMemo } from 'react';
import type { Change } from '../../../api/client';
import { spanOf, voiceLines, type AskedVoices } from './voiceLines';
import { noteGlyphs } from '../../../shared/noteGlyphs';

const DOT = 3.2;

/**
 * The voices over the road, at true pitch: one that keeps its note is thick, a half step bears a mark, and one is double
 * where the player asked for its way.
 */
export const RoadVoices = memo(function RoadVoices({
  changes,
  inView,
  column,
  height,
  asked,
}: {
  /** All of the part, which say how far its voices reach. */
  changes: Change[];
  inView: Change[];
  column: number;
  height: number;
  asked: AskedVoices;
}) {
  const span = useMemo(() => spanOf(changes), [changes]);
  return (
    <g data-testid="voices">
      {voiceLines(inView, span, column, height, asked).map((line) => (
        <g key={line.key} data-voice={line.kind}>
          <line {...ends(line)} className={`voice-${line.kind}`} />
          {line.asked && <line {...ends(line)} className="voice-asked" />}
          <circle cx={line.x1} cy={line.y1} r={DOT} className="voice-note" />
          <circle cx={line.x2} cy={line.y2} r={DOT} className="voice-note" />
          {line.kind === 'half' && (
            <text
              x={(line.x1 + line.x2) / 2}
              y={(line.y1 + line.y2) / 2 + 4}
              textAnchor="middle"
              className="voice-half-mark"
            >
              ½
            </text>
          )}
          {line.from !== null && <Name x={line.x1} y={line.y1} pitch={line.from} />}
          {line.to !== null && <Name x={line.x2} y={line.y2} pitch={line.to} />}
        </g>
      ))}
    </g>
  );
});

function ends({ x1, y1, x2, y2 }: { x1: number; y1: number; x2: number; y2: number }) {
  return { x1, y1, x2, y2 };
}

function Name({ x, y, pitch }: { x: number; y: number; pitch: string }) {
  return (
    <text x={x} y={y - 6} textAnchor="middle" className="voice-name">
      {noteGlyphs(pitch)}
    </text>
  );
}
