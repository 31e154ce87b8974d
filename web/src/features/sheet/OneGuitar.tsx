import Box from '@mui/material/Box';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import type { Arrangement, Part, PreviewBody } from '../../api/client';
import { GripFrame } from '../../shared/GripFrame';
import { MONO } from '../../theme/theme';
import { Engraving, type Writing } from './Engraving';
import { WordsSheet } from './WordsSheet';

export type Layout = 'words' | 'tab';

/** Frames that stand before the first bar; more stand after the last, on a page of their own. */
const MOST_GRIPS_BEFORE = 12;

/** What stands on the sheet for one guitar: title, facts, grips, and words or notes. */
export function OneGuitar({
  title,
  song,
  second = false,
  arrangement,
  part,
  layout,
  writing,
  big,
  sounding,
}: {
  title: string;
  song: PreviewBody;
  /** Whether it is the second one. */
  second?: boolean;
  arrangement: Arrangement;
  part: Part | undefined;
  layout: Layout;
  writing: Writing;
  big: boolean;
  sounding: number | null;
}) {
  const capo = arrangement.capo.chosen;
  const grips = <Grips arrangement={arrangement} big={big} />;
  const gripsFirst = arrangement.newShapes.length <= MOST_GRIPS_BEFORE;
  const hand = onePattern(arrangement);
  return (
    <>
      <Typography variant="h1" sx={{ fontSize: big ? '2.2rem' : undefined }}>
        {title}
      </Typography>
      <Typography sx={{ mb: 1.5 }}>
        {capo === 0 ? 'No capo' : `Capo ${capo}, sounds in ${arrangement.key}`} · {arrangement.metre}
        {hand && `, ${hand}`} · {arrangement.tempo} beats a minute
        {part && (
          <Box component="span" sx={{ fontFamily: MONO, fontSize: '0.9em' }}>
            {' '}
            · {part.tuning.join(' ')}
          </Box>
        )}
        {!gripsFirst && ` · ${arrangement.newShapes.length} grips, after the last bar`}
      </Typography>
      {gripsFirst && grips}
      {part?.notices.map((notice) => (
        <Typography
          key={notice}
          variant="body2"
          sx={{ borderLeft: 4, borderColor: 'draw.moves', pl: 1.25, mb: 1 }}
        >
          {notice}
        </Typography>
      ))}
      {layout === 'words' ? (
        <WordsSheet
          placements={arrangement.placements}
          words={arrangement.words}
          repeats={writing === 'out' ? [] : arrangement.repeats}
          big={big}
          sounding={sounding}
        />
      ) : part ? (
        <Engraving
          song={song}
          second={second}
          part={part}
          words={arrangement.words}
          big={big}
          writing={writing}
          sounding={sounding}
        />
      ) : (
        <Skeleton variant="rounded" height={300} />
      )}
      {!gripsFirst && (
        <Box sx={{ breakBefore: 'page', mt: 3 }}>
          <Typography variant="h2" sx={{ mb: 1 }}>
            Grips
          </Typography>
          {grips}
        </Box>
      )}
    </>
  );
}

/** The pattern, where the right hand plays one in every section. */
function onePattern(arrangement: Arrangement): string | undefined {
  const names = new Set(arrangement.rightHand.sections.map((section) => section.name));
  return names.size === 1 ? [...names][0] : undefined;
}

/** Every shape where it comes first. */
function Grips({ arrangement, big }: { arrangement: Arrangement; big: boolean }) {
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, mb: 2 }}>
      {arrangement.newShapes.map((at) => {
        const place = arrangement.placements[at];
        return place?.grip ? (
          <Box key={at} sx={{ textAlign: 'center', breakInside: 'avoid' }}>
            <Typography sx={{ fontWeight: 700, pl: 1.75 }}>{place.played}</Typography>
            <GripFrame grip={place.grip} size={big ? 1.35 : 1} />
          </Box>
        ) : null;
      })}
    </Box>
  );
}
