import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import Snackbar from '@mui/material/Snackbar';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { Problem } from '../../shared/Problem';
import { droppedWords, readFile } from '../../shared/readFile';
import { findSongs } from './findSongs';
import { PasteChart } from './PasteChart';
import { SongList } from './SongList';
import type { SongSummary } from '../../api/client';
import { useAddSong, useEfforts, usePutBack, useRemoveSong, useSongs } from './useSongs';
import { useSearchKey } from './useSearchKey';

/** Every song of the book, and a place to paste or drop the next one. */
export function SongbookView() {
  const songs = useSongs();
  const add = useAddSong();
  const remove = useRemoveSong();
  const navigate = useNavigate();
  const [words, setWords] = useState('');
  const [dropping, setDropping] = useState(false);
  const [fileError, setFileError] = useState<unknown>(null);
  const search = useRef<HTMLInputElement>(null);
  useSearchKey(search);
  const empty = songs.data?.length === 0;
  const found = findSongs(songs.data ?? [], words);
  const efforts = useEfforts(songs.data ?? []);
  const putBack = usePutBack();
  const removed = remove.isSuccess && !putBack.isSuccess ? remove.variables : null;

  const removeSong = (song: SongSummary) => {
    putBack.reset();
    remove.mutate(song);
  };

  const take = (source: string, said = '', kept?: () => void) =>
    add.mutate(source, {
      onSuccess: (song) => {
        kept?.();
        void navigate(`/songs/${song.id}`, { state: { said } });
      },
    });

  const takeFile = async (file: File | undefined) => {
    setFileError(null);
    if (!file) {
      return;
    }
    try {
      const { source, dropped } = await readFile(file);
      take(source, droppedWords(dropped));
    } catch (error) {
      setFileError(error);
    }
  };

  return (
    <Box
      component="main"
      onDragOver={(event) => {
        event.preventDefault();
        setDropping(true);
      }}
      onDragLeave={() => setDropping(false)}
      onDrop={(event) => {
        event.preventDefault();
        setDropping(false);
        void takeFile(event.dataTransfer.files[0]);
      }}
      sx={{
        p: { xs: 2, md: 3 },
        minHeight: '100%',
        outline: dropping ? '3px dashed var(--mui-palette-primary-main)' : 'none',
        outlineOffset: -8,
      }}
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center', maxWidth: 1120 }}>
        <Typography variant="h1">Songbook</Typography>
        <Box sx={{ flex: 1 }} />
        {!empty && (
          <Button href="#paste" variant="outlined" sx={{ display: { md: 'none' } }}>
            Paste a chart
          </Button>
        )}
        {!empty && (
          <TextField
            inputRef={search}
            size="small"
            label="Find (f)"
            type="search"
            value={words}
            onChange={(event) => setWords(event.target.value)}
          />
        )}
      </Box>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', md: empty ? '1fr' : 'minmax(0, 1.15fr) minmax(0, 1fr)' },
          gap: { xs: 3, md: 5 },
          mt: 2,
          maxWidth: 1120,
        }}
      >
        {songs.isPending && <Skeleton variant="rounded" height={220} />}
        {songs.isError && <Problem error={songs.error} onRetry={() => void songs.refetch()} />}
        {songs.data && !empty && (
          <Box>
            <SongList songs={found} efforts={efforts} onRemove={removeSong} />
            {found.length === 0 && <Typography>No song in the book has these words.</Typography>}
          </Box>
        )}
        {empty && (
          <Typography sx={{ maxWidth: '60ch' }}>
            The book is empty. Paste a song below: you will see which capo makes it easiest, which grips to
            take, what every finger does on the way, and whether there is time.
          </Typography>
        )}
        <PasteChart
          busy={add.isPending}
          error={fileError ?? add.error}
          onAdd={(source, kept) => take(source, '', kept)}
          onFile={(file) => void takeFile(file)}
        />
      </Box>
      {remove.isError && <Problem error={remove.error} />}
      {putBack.isError && <Problem error={putBack.error} />}
      <Snackbar
        open={removed !== null}
        message={
          removed ? `“${removed.title}” was removed. It can be put back for 30 days, on the page Book.` : ''
        }
        action={
          <Button color="inherit" onClick={() => removed && putBack.mutate(removed.id)}>
            Undo
          </Button>
        }
      />
    </Box>
  );
}
