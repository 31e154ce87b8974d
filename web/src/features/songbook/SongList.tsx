import DeleteOutlined from '@mui/icons-material/DeleteOutlined';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Link as RouterLink } from 'react-router';
import type { SongSummary } from '../../api/client';

/** The songs, a line each. */
export function SongList({ songs, onRemove }: { songs: SongSummary[]; onRemove: (id: number) => void }) {
  return (
    <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {songs.map((song) => (
        <SongLine key={song.id} song={song} onRemove={() => onRemove(song.id)} />
      ))}
    </Box>
  );
}

function SongLine({ song, onRemove }: { song: SongSummary; onRemove: () => void }) {
  const [asking, setAsking] = useState(false);
  return (
    <Box
      component="li"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1,
        py: 1.25,
        borderBottom: 1,
        borderColor: 'divider',
      }}
    >
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <Link
          component={RouterLink}
          to={`/songs/${song.id}`}
          underline="hover"
          sx={{ fontSize: '1.2rem', fontWeight: 700, color: 'text.primary' }}
        >
          {song.title}
        </Link>
        <Typography variant="body2" color="text.secondary">
          {song.key} · {song.metre} · {song.tempo} · {song.bars} bars, {song.chords} chords
          {song.faults > 0 && ` · ${song.faults} not understood`}
        </Typography>
      </Box>
      {asking ? (
        <>
          <Button color="error" onClick={onRemove}>
            Remove for good
          </Button>
          <Button onClick={() => setAsking(false)}>Keep</Button>
        </>
      ) : (
        <IconButton
          aria-label={`Remove ${song.title}`}
          onClick={() => setAsking(true)}
          sx={{ width: 44, height: 44 }}
        >
          <DeleteOutlined />
        </IconButton>
      )}
    </Box>
  );
}
