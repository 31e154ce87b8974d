import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useEffect, useRef } from 'react';
import type { Placement, SpokenWords } from '../../api/client';
import { MONO } from '../../theme/theme';
import { lines, wordsAfter } from './sheetLines';

/** Words with chords and shapes over them, in the lines of the chart; a bar is never parted. */
export function WordsSheet({
  placements,
  words = [],
  big,
  sounding,
}: {
  placements: Placement[];
  words?: SpokenWords[];
  big: boolean;
  /** Place that is heard now. */
  sounding: number | null;
}) {
  return (
    <>
      {lines(placements, words).map((line) => (
        <Box key={line.first} sx={{ breakInside: 'avoid' }}>
          <Spoken words={line.before} big={big} />
          {line.section !== '' && <SectionName name={line.section} big={big} />}
          <Box sx={{ display: 'flex', flexWrap: 'wrap', rowGap: 1, mb: big ? 2.5 : 1.25 }}>
            {line.bars.map((bar) => (
              <Bar key={bar[0]?.index} placements={bar} big={big} sounding={sounding} />
            ))}
          </Box>
        </Box>
      ))}
      <Spoken words={wordsAfter(placements, words)} big={big} />
    </>
  );
}

function SectionName({ name, big }: { name: string; big: boolean }) {
  return (
    <Typography variant="h2" sx={{ mt: 2, mb: 0.5, fontSize: big ? '1.5rem' : undefined }}>
      {name}
    </Typography>
  );
}

/** Words without chords, under the name of their part. */
function Spoken({ words, big }: { words: SpokenWords[]; big: boolean }) {
  return words.map((spoken, index) => (
    <Box key={`${spoken.bar}.${index}`} sx={{ mb: 1.25, pl: 1 }}>
      {spoken.heading !== '' && (
        <Box sx={{ ml: -1 }}>
          <SectionName name={spoken.heading} big={big} />
        </Box>
      )}
      {spoken.lines.map((line, at) => (
        <Typography key={at} sx={{ fontSize: big ? '1.7rem' : undefined, lineHeight: 1.4 }}>
          {line}
        </Typography>
      ))}
    </Box>
  ));
}

/** A bar's chords beside each other; bars without words stand under one another, four a row. */
function Bar({
  placements,
  big,
  sounding,
}: {
  placements: Placement[];
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
      {placements.map((placement) => (
        <Chord
          key={placement.index}
          placement={placement}
          big={big}
          sounding={placement.index === sounding}
        />
      ))}
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
