import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, type SongChord } from '../../api/client';
import { GripFrame } from '../../shared/GripFrame';
import { Problem } from '../../shared/Problem';
import type { MapPlace } from './useMapPlace';
import { TOUCHED } from '../../theme/theme';

const HIGHEST = 12;
/** Frets a hand reaches from a place. */
const REACH = 4;

/** The chords of a song: what serves over each, and all of them at one place of the neck. */
export function SongChords({
  place,
  at,
  onAt,
  onChord,
  onScale,
}: {
  place: MapPlace;
  /** The fret where all are looked for. */
  at: number;
  onAt: (fret: number) => void;
  onChord: (chord: string) => void;
  onScale: (root: string, scale: string) => void;
}) {
  const { chords, key, tuning, capo, playerId } = place;
  const song = useQuery({
    queryKey: ['song chords', chords, key, tuning, capo, playerId, at],
    queryFn: ({ signal }) =>
      api.neckChords({ chords, key: key === '' ? 'C' : key, fret: at, tuning, capo, playerId }, signal),
    placeholderData: keepPreviousData,
    retry: false,
  });
  if (song.isError) {
    return <Problem error={song.error} onRetry={() => void song.refetch()} />;
  }
  return (
    <Box component="section" aria-label="Chords of the song" sx={{ breakInside: 'avoid' }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, mb: 1, flexWrap: 'wrap' }}>
        <Typography variant="h3" component="h2">
          All chords of the song at one place
        </Typography>
        <TextField
          select
          size="small"
          label="Frets"
          value={at}
          onChange={(event) => onAt(Number(event.target.value))}
          slotProps={{ select: { native: true } }}
        >
          {Array.from({ length: HIGHEST }, (_, i) => (
            <option key={i} value={i + 1}>
              {i + 1} to {i + 1 + REACH}
            </option>
          ))}
        </TextField>
      </Box>
      <Box
        sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(232px, 1fr))', gap: 2 }}
        data-testid="song-chords"
      >
        {(song.data?.chords ?? []).map((chord) => (
          <OneChord
            key={chord.chord}
            chord={chord}
            isShown={place.kind === 'chord' && place.chord === chord.chord}
            onChord={onChord}
            onScale={onScale}
          />
        ))}
      </Box>
    </Box>
  );
}

function OneChord({
  chord,
  isShown,
  onChord,
  onScale,
}: {
  chord: SongChord;
  isShown: boolean;
  onChord: (chord: string) => void;
  onScale: (root: string, scale: string) => void;
}) {
  const [first, ...others] = chord.scales;
  return (
    <Box sx={{ display: 'flex', gap: 1, breakInside: 'avoid' }}>
      <Box sx={{ flex: 'none', width: 112 }}>
        <Button
          variant={isShown ? 'contained' : 'outlined'}
          onClick={() => onChord(chord.chord)}
          sx={{ textTransform: 'none', fontWeight: 700, minHeight: 44, minWidth: 64 }}
        >
          {chord.chord}
        </Button>
        {chord.grip ? (
          <Box sx={{ mt: 0.5 }}>
            <GripFrame grip={chord.grip} />
          </Box>
        ) : (
          <Typography variant="body2" color="text.secondary">
            not here
          </Typography>
        )}
      </Box>
      {first && (
        <Box>
          <Scale name={first.name} onScale={onScale} isFirst />
          <Typography variant="body2">{first.notes.join(' ')}</Typography>
          {first.watch.map((watch) => (
            <Typography key={watch.plays} variant="body2" sx={{ fontWeight: 700 }}>
              watch: {watch.plays} in place of {watch.insteadOf}
            </Typography>
          ))}
          <Box className="map-screen">
            {others.map((other) => (
              <Scale key={other.name} name={other.name} onScale={onScale} isFirst={false} />
            ))}
          </Box>
        </Box>
      )}
    </Box>
  );
}

/** `D dorian` as its root and its name; null for a scale that has no name. */
function named(name: string): [string, string] | null {
  const [root, ...words] = name.split(' ');
  return /^[A-G][♯♭]?$/.test(root ?? '') ? [root ?? '', words.join(' ')] : null;
}

function Scale({
  name,
  isFirst,
  onScale,
}: {
  name: string;
  isFirst: boolean;
  onScale: (root: string, scale: string) => void;
}) {
  const parts = named(name);
  if (parts === null) {
    return <Typography sx={{ fontWeight: 700 }}>{name}</Typography>;
  }
  return (
    <Button
      onClick={() => onScale(parts[0], parts[1])}
      sx={{
        textTransform: 'none',
        display: 'block',
        textAlign: 'left',
        px: 0.5,
        py: isFirst ? 0.5 : 0.25,
        minHeight: 24,
        fontWeight: isFirst ? 700 : 400,
        ...TOUCHED,
      }}
    >
      {name}
    </Button>
  );
}
