import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { api, type Arrangement, type Placement } from '../../api/client';
import { NO_DECISIONS } from '../../api/decisions';
import { songKeys } from '../../api/queryKeys';
import { useArrangement, useSongBody } from '../../api/useArrangement';
import { useSecond } from '../../api/useSecond';
import { MONO } from '../../app/theme';
import { GripFrame } from '../../shared/GripFrame';
import { Problem } from '../../shared/Problem';
import { partText } from './partText';
import { differentGrips, lines } from './sheetLines';

/** The part on paper: its grips, then chords and shapes over the words. */
export function PrintView() {
  const id = Number(useParams().id);
  const song = useQuery({ queryKey: songKeys.one(id), queryFn: () => api.song(id) });
  const arrangement = useArrangement(
    song.data?.source ?? '',
    song.data?.decisions ?? NO_DECISIONS,
    song.data !== undefined,
  );
  const decisions = song.data?.decisions ?? NO_DECISIONS;
  const source = song.data?.source ?? '';
  const second = useSecond(useSongBody(source, decisions), { source, decisions });
  const error = song.error ?? arrangement.error;
  return (
    <Box component="main" sx={{ maxWidth: 820, mx: 'auto', p: 3, '@media print': { p: 0, color: '#000' } }}>
      <Box sx={{ display: 'flex', gap: 1, mb: 2, '@media print': { display: 'none' } }}>
        <Button variant="contained" onClick={() => window.print()}>
          Print
        </Button>
        {arrangement.data && (
          <Button
            component="a"
            download={`${song.data?.title ?? 'part'}.txt`}
            href={`data:text/plain;charset=utf-8,${encodeURIComponent(
              partText(song.data?.title ?? '', arrangement.data) +
                (second ? `\n\n${partText('Second guitar', second.arrangement)}` : ''),
            )}`}
          >
            Plain text
          </Button>
        )}
        <Button component={Link} to={`/songs/${id}`}>
          Back to the bench
        </Button>
      </Box>
      {error && <Problem error={error} />}
      {arrangement.data && <Part title={song.data?.title ?? ''} arrangement={arrangement.data} />}
      {second && (
        <Box sx={{ breakBefore: 'page', mt: 5 }}>
          <Part title="Second guitar" arrangement={second.arrangement} />
        </Box>
      )}
    </Box>
  );
}

function Part({ title, arrangement }: { title: string; arrangement: Arrangement }) {
  const capo = arrangement.capo.chosen;
  return (
    <>
      <Typography variant="h1">{title}</Typography>
      <Typography sx={{ mb: 2 }}>
        {capo === 0 ? 'No capo' : `Capo ${capo}, sounds in ${arrangement.key}`} · {arrangement.metre} ·{' '}
        {arrangement.tempo} beats a minute
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, mb: 2 }}>
        {differentGrips(arrangement.placements).map(({ played, grip }) => (
          <Box key={grip.shape} sx={{ textAlign: 'center' }}>
            <Typography sx={{ fontWeight: 700 }}>{played}</Typography>
            <GripFrame grip={grip} />
          </Box>
        ))}
      </Box>
      {lines(arrangement.placements).map((line) => (
        <Box key={line.first} sx={{ breakInside: 'avoid' }}>
          {line.section !== '' && (
            <Typography variant="h2" sx={{ mt: 2, mb: 0.5 }}>
              {line.section}
            </Typography>
          )}
          <Box sx={{ display: 'flex', flexWrap: 'wrap', mb: 1.25 }}>
            {line.placements.map((placement) => (
              <Chord key={placement.index} placement={placement} />
            ))}
          </Box>
        </Box>
      ))}
    </>
  );
}

function Chord({ placement }: { placement: Placement }) {
  return (
    <Box sx={{ flex: '1 1 22%', minWidth: 150, pr: 1 }}>
      <Typography component="span" sx={{ fontWeight: 700, fontSize: '1.15rem' }}>
        {placement.played ?? 'N.C.'}
      </Typography>{' '}
      <Typography component="span" sx={{ fontFamily: MONO, fontSize: '0.8rem' }}>
        {placement.grip?.shape}
      </Typography>
      <Typography>{placement.lyric}</Typography>
    </Box>
  );
}
