import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useEffect, useMemo, useRef } from 'react';
import type { Placement, RepeatedBar, SpokenWords } from '../../api/client';
import { MONO } from '../../theme/theme';
import { folded } from './folding';
import { RepeatSign } from './RepeatSign';
import { lines, wordsAfter } from './sheetLines';
import { SectionName, Spoken } from './Spoken';

/** Words with chords and shapes over them, in the lines of the chart; a bar is never parted. */
export function WordsSheet({
  placements,
  words = [],
  repeats = [],
  big,
  sounding,
}: {
  placements: Placement[];
  words?: SpokenWords[];
  /** Bars that stand for others; none where repeats are written out. */
  repeats?: RepeatedBar[];
  big: boolean;
  /** Place that is heard now. */
  sounding: number | null;
}) {
  const { shown, signs, shownAs } = useMemo(() => folded(placements, repeats), [placements, repeats]);
  const soundingHere = sounding === null ? null : (shownAs.get(sounding) ?? sounding);
  return (
    <>
      {lines(shown, words).map((line) => (
        <Box key={line.first} sx={{ breakInside: 'avoid' }}>
          <Spoken words={line.before} big={big} />
          {line.section !== '' && <SectionName name={line.section} big={big} />}
          <Box sx={{ display: 'flex', flexWrap: 'wrap', rowGap: 1, mb: big ? 2.5 : 1.25 }}>
            {line.bars.map((bar) => (
              <Bar
                key={bar[0]?.index}
                placements={bar}
                signs={signs.get(bar[0]?.bar ?? 0)}
                big={big}
                sounding={soundingHere}
              />
            ))}
          </Box>
        </Box>
      ))}
      <Spoken words={wordsAfter(placements, words)} big={big} />
    </>
  );
}

/** A bar's chords beside each other; bars without words stand under one another, four a row. */
function Bar({
  placements,
  signs,
  big,
  sounding,
}: {
  placements: Placement[];
  signs: RepeatedBar | undefined;
  big: boolean;
  sounding: number | null;
}) {
  const worded = placements.some((placement) => placement.lyric !== '');
  return (
    <Box
      sx={{
        display: 'flex',
        flex: worded ? '0 1 auto' : '0 1 25%',
        minWidth: worded ? undefined : big ? 190 : 130,
        maxWidth: '100%',
        borderLeft: 1,
        borderColor: 'divider',
      }}
    >
      {signs?.opens && <RepeatSign big={big} />}
      {signs?.endingBegins && (
        <Typography sx={{ pl: 0.5, fontWeight: 700, fontSize: big ? '1.4rem' : '0.9rem' }}>
          {signs.ending}.
        </Typography>
      )}
      {placements.map((placement) => (
        <Chord
          key={placement.index}
          placement={placement}
          big={big}
          sounding={placement.index === sounding}
        />
      ))}
      {signs && signs.times > 0 && <RepeatSign closes big={big} />}
      {signs && signs.times > 2 && (
        <Typography sx={{ px: 0.5, fontWeight: 700, fontSize: big ? '1.4rem' : '0.9rem' }}>
          ×{signs.times}
        </Typography>
      )}
    </Box>
  );
}

function Chord({ placement, big, sounding }: { placement: Placement; big: boolean; sounding: boolean }) {
  const element = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (sounding) {
      element.current?.scrollIntoView({ block: 'nearest' });
    }
  }, [sounding]);
  return (
    <Box
      ref={element}
      data-sounding={sounding || undefined}
      data-bar={placement.bar}
      sx={{
        flex: '1 1 auto',
        pr: 1.5,
        borderRadius: 1,
        boxShadow: sounding ? 'inset 4px 0 0 var(--mui-palette-draw-moves)' : 'none',
        pl: 1,
      }}
    >
      <Typography sx={{ fontWeight: 700, fontSize: big ? '1.9rem' : '1.15rem', lineHeight: 1.25 }}>
        {placement.played ?? 'N.C.'}
      </Typography>
      <Typography sx={{ fontFamily: MONO, fontSize: big ? '1.05rem' : '0.8rem', lineHeight: 1.25 }}>
        {placement.grip?.shape}
      </Typography>
      <Typography sx={{ fontSize: big ? '1.7rem' : undefined, lineHeight: 1.25 }}>
        {placement.lyric}
      </Typography>
    </Box>
  );
}
