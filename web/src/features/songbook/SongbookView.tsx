import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { useRememberedHere } from '../../shared/useRemembered';
import { Problem } from '../../shared/Problem';
import { usePageTitle } from '../../shared/usePageTitle';
import { droppedWords, readFile, tuneWords } from '../../shared/readFile';
import { findSongs } from './findSongs';
import { PasteChart } from './PasteChart';
import { SongList } from './SongList';
import { useHolds } from './useHolds';
import { useAddSong, useEfforts, useSongRemoval, useSongs } from './useSongs';
import { useSearchKey } from './useSearchKey';

/** Every song of the book, and a place to paste or drop the next one. */
export function SongbookView() {
  usePageTitle('Songbook');
  const songs = useSongs();
  const add = useAddSong();
  const removal = useSongRemoval();
  const navigate = useNavigate();
  const [words, setWords] = useRememberedHere('songbook.words');
  const [dropping, setDropping] = useState(false);
  const [fileError, setFileError] = useState<unknown>(null);
  const search = useRef<HTMLInputElement>(null);
  useSearchKey(search);
  const empty = songs.data?.length === 0;
  const found = findSongs(songs.data ?? [], words);
  const efforts = useEfforts(songs.data ?? []);
  const holds = useHolds(songs.isSuccess && efforts.size === songs.data.length);

  const take = (source: string, said = '', kept?: () => void) =>
    add.mutate(source, {
      onSuccess: (song) => {
        kept?.();
        void navigate(`/songs/${song.id}`, { state: { said } });
      },
    });

  const takeFiles = async (files: File[]) => {
    setFileError(null);
    try {
      const read = [];
      for (const file of files) {
        read.push(await readFile(file));
      }
      if (read.length === 1 && read[0]) {
        take(read[0].source, [tuneWords(read[0].tune), droppedWords(read[0].dropped)].join(' ').trim());
      } else {
        for (const { source } of read) {
          await add.mutateAsync(source);
        }
      }
    } catch (error) {
      setFileError(error);
    }
  };

  // Files that were dropped on another view.
  const dropped = (useLocation().state as { files?: File[] } | null)?.files;
  const taken = useRef<File[]>(undefined);
  useEffect(() => {
    if (dropped && taken.current !== dropped) {
      taken.current = dropped;
      void navigate('/', { replace: true, state: null });
      void takeFiles(dropped);
    }
  });

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
        void takeFiles([...event.dataTransfer.files]);
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
            <SongList songs={found} efforts={efforts} holds={holds} onRemove={removal.remove} />
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
          onFiles={(files) => void takeFiles(files)}
        />
      </Box>
      {removal.notice}
    </Box>
  );
}
