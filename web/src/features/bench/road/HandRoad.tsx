import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  memo,
  useCallback,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  type ReactNode,
} from 'react';
import type { Arrangement, Placement } from '../../../api/client';
import { useLeftHanded } from '../../../shared/hand';
import { BarRuler, RULER } from './BarRuler';
import { ChordLane } from '../lane/ChordLane';
import { beside, fretY, labelled, roadFor, seen, type Played } from '../../../shared/road/handRoad';
import type { Loop } from '../../../shared/loop';
import { RoadGhost } from './RoadGhost';
import { RoadGrip } from '../../../shared/road/RoadGrip';
import { RoadThreads } from '../../../shared/road/RoadThreads';
import { RoadVoices } from './RoadVoices';
import { TimeStrip } from './TimeStrip';
import { TOUCHED } from '../../../theme/theme';

const AXIS = 34;
const NARROWEST = 76;
const WIDEST = 184;
const HEIGHT = 190;

/** The song from left to right, the neck from bottom to top: every grip, and every finger's way to the next. */
export function HandRoad({
  arrangement,
  other,
  whose,
  selected,
  sounding = null,
  soundingBar = null,
  loop,
  voices,
  topAsked,
  onVoices,
  onSelect,
  onLoop,
}: {
  /** The part whose fingers are followed. */
  arrangement: Arrangement;
  /** Another guitar's part, drawn beside it without threads. */
  other?: Arrangement | undefined;
  /** Says which of two guitars is followed. */
  whose?: ReactNode;
  selected: number | null;
  /** Place that is heard now. */
  sounding?: number | null;
  soundingBar?: number | null;
  loop: Loop | null;
  /** Whether the voices are drawn over it. */
  voices: boolean;
  /** Whether the player asked how the highest voice goes. */
  topAsked: boolean;
  onVoices: (shown: boolean) => void;
  onSelect: (placement: number | null) => void;
  onLoop: (loop: Loop | null) => void;
}) {
  const lines = useMemo(
    () => new Set(arrangement.placements.filter((p) => p.reading.bound).map((p) => p.index)),
    [arrangement],
  );
  const { placements, changes, capo } = arrangement;
  const [column, setColumn] = useState(104);
  const [scroll, setScroll] = useState({ left: 0, width: 1200 });
  const leftHanded = useLeftHanded();
  const viewport = useRef<HTMLDivElement>(null);
  const road = useMemo(
    () => roadFor(arrangement.neck, guitarsOn(arrangement, other), column, HEIGHT, leftHanded),
    [arrangement, other, column, leftHanded],
  );
  const ghosts = useMemo(() => (other ? beside(placements, other.placements) : []), [placements, other]);
  const [first, last] = seen(scroll.left, scroll.width, column, placements.length);
  const inView = placements.slice(first, last + 1);
  const changesInView = changes.filter((c) => c.to >= first && c.from <= last);

  useLayoutEffect(() => {
    const element = viewport.current;
    if (!element) {
      return;
    }
    const measure = () => setScroll({ left: element.scrollLeft, width: element.clientWidth });
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, []);

  useEffect(() => {
    const element = viewport.current;
    const shown = sounding ?? selected;
    if (!element || shown === null) {
      return;
    }
    const left = shown * column;
    if (left < element.scrollLeft || left + column > element.scrollLeft + element.clientWidth) {
      element.scrollTo({ left: Math.max(0, left - element.clientWidth / 3) });
    }
  }, [selected, sounding, column]);

  const jump = useCallback((index: number) => viewport.current?.scrollTo({ left: index * column }), [column]);
  const frets = Array.from({ length: road.highestFret }, (_, i) => road.base - capo.chosen + i + 1);
  const width = Math.max(placements.length * column, 1);

  return (
    <Box component="section" aria-label="Hand road" data-places={placements.length}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, flexWrap: { xs: 'wrap', sm: 'nowrap' } }}>
        <Typography variant="h3" component="h2" sx={{ whiteSpace: 'nowrap' }}>
          Hand road
        </Typography>
        {whose}
        <SectionJumps starts={sectionStarts(placements)} onJump={jump} />
        <Box sx={{ flex: 'none', ml: 'auto' }}>
          <Button
            size="small"
            variant={voices ? 'contained' : 'text'}
            aria-pressed={voices}
            title="The voices at true pitch: thick where one stays, ½ where it moves a half step (v)"
            onClick={() => onVoices(!voices)}
          >
            Voices
          </Button>
          <Button
            size="small"
            sx={{ minWidth: 44 }}
            aria-label="Narrower columns"
            onClick={() => setColumn((c) => Math.max(NARROWEST, c - 18))}
          >
            −
          </Button>
          <Button
            size="small"
            sx={{ minWidth: 44 }}
            aria-label="Wider columns"
            onClick={() => setColumn((c) => Math.min(WIDEST, c + 18))}
          >
            +
          </Button>
        </Box>
      </Box>
      <Box sx={{ display: 'flex' }}>
        <Box sx={{ flex: 'none' }}>
          <Box sx={RULER} />
          <svg width={AXIS} height={HEIGHT} aria-hidden style={{ display: 'block' }} className="road">
            {labelled(
              road,
              capo.chosen,
              frets.filter((f) => f > 0),
            ).map((fret) => (
              <text
                key={fret}
                x={AXIS - 10}
                y={fretY(road, capo.chosen, fret) + 5}
                textAnchor="end"
                className="road-figure"
              >
                {fret}
              </text>
            ))}
            <text x={AXIS - 6} y={fretY(road, capo.chosen, 0) + 5} textAnchor="end" className="road-figure">
              {capo.chosen === 0 ? 'nut' : 'capo'}
            </text>
          </svg>
        </Box>
        <Box
          ref={viewport}
          tabIndex={-1}
          onScroll={(event) =>
            setScroll({ left: event.currentTarget.scrollLeft, width: event.currentTarget.clientWidth })
          }
          sx={{ flex: 1, minWidth: 0, overflowX: 'auto', overflowY: 'hidden' }}
        >
          <Box sx={{ width, position: 'relative' }}>
            <BarRuler
              arrangement={arrangement}
              column={column}
              first={first}
              last={last}
              loop={loop}
              sounding={soundingBar}
              onLoop={onLoop}
            />
            <svg width={width} height={HEIGHT} className="road" aria-hidden>
              <rect width={width} height={HEIGHT} className="road-ground" />
              {frets.map((fret) => (
                <line
                  key={fret}
                  x1={0}
                  x2={width}
                  y1={fretY(road, capo.chosen, fret)}
                  y2={fretY(road, capo.chosen, fret)}
                  className="road-fret"
                />
              ))}
              {other && (
                <line
                  x1={0}
                  x2={width}
                  y1={fretY(road, other.capo.chosen, 0)}
                  y2={fretY(road, other.capo.chosen, 0)}
                  className="road-nut-other"
                />
              )}
              <line
                x1={0}
                x2={width}
                y1={fretY(road, capo.chosen, 0)}
                y2={fretY(road, capo.chosen, 0)}
                className={voices ? 'road-nut road-behind' : 'road-nut'}
              />
              {other &&
                inView.map(({ index }) => (
                  <RoadGhost
                    key={index}
                    road={road}
                    capo={other.capo.chosen}
                    index={index}
                    grip={ghosts[index] ?? null}
                  />
                ))}
              {!voices &&
                changesInView.map((change) => (
                  <RoadThreads
                    key={change.to}
                    road={road}
                    capo={capo.chosen}
                    change={change}
                    placements={placements}
                  />
                ))}
              <g className={voices ? 'road-behind' : undefined}>
                {inView.map((placement) => (
                  <RoadGrip
                    key={placement.index}
                    road={road}
                    capo={capo.chosen}
                    placement={placement}
                    landing={landing(arrangement, placement.index)}
                    selected={placement.index === selected}
                    sounding={placement.index === sounding}
                    onSelect={() => onSelect(placement.index === selected ? null : placement.index)}
                  />
                ))}
              </g>
              {voices && (
                <RoadVoices
                  changes={changes}
                  inView={changesInView}
                  column={column}
                  height={HEIGHT}
                  asked={{ top: topAsked, lines }}
                />
              )}
            </svg>
            <TimeStrip road={road} width={width} changes={changesInView} />
            <ChordLane
              placements={inView}
              column={column}
              capo={capo.chosen}
              selected={selected}
              onSelect={onSelect}
            />
          </Box>
        </Box>
      </Box>
    </Box>
  );
}

/** The guitars drawn, the followed one first. */
function guitarsOn(arrangement: Arrangement, other: Arrangement | undefined): Played[] {
  return [arrangement, ...(other ? [other] : [])].map(({ placements, capo }) => ({
    placements,
    capo: capo.chosen,
  }));
}

/** Fingers that were free before this placement: they are drawn as rings. */
function landing(arrangement: Arrangement, index: number): Set<string> {
  const change = arrangement.changes.find((c) => c.to === index);
  return new Set(change?.acts.filter((a) => a.act === 'lands').map((a) => a.finger));
}

interface SectionStart {
  index: number;
  section: string;
}

function sectionStarts(placements: Placement[]): SectionStart[] {
  return placements
    .filter((p, i) => p.section !== '' && p.section !== placements[i - 1]?.section)
    .map(({ index, section }) => ({ index, section }));
}

const SectionJumps = memo(
  function SectionJumps({ starts, onJump }: { starts: SectionStart[]; onJump: (index: number) => void }) {
    return (
      <Box sx={{ flex: 1, minWidth: 0, display: 'flex', overflowX: 'auto', scrollbarWidth: 'thin' }}>
        {starts.map(({ index, section }) => (
          <Button
            key={index}
            size="small"
            sx={{ minWidth: 0, flex: 'none', ...TOUCHED }}
            onClick={() => onJump(index)}
          >
            {section}
          </Button>
        ))}
      </Box>
    );
  },
  (before, after) =>
    before.onJump === after.onJump && JSON.stringify(before.starts) === JSON.stringify(after.starts),
);
