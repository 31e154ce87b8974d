import { counted } from '../../shared/words';
import DeleteOutlined from '@mui/icons-material/DeleteOutlined';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useRef } from 'react';
import { Link as RouterLink } from 'react-router';
import type { RungEffort, SongSummary } from '../../api/client';
import { dayWords, practisedWords } from './practised';

/** A line of one row, before it is measured. */
const LINE_HEIGHT = 71;

/** The songs, a line each; of many only those in sight are drawn. */
export function SongList({
  songs,
  efforts,
  holds,
  onRemove,
}: {
  songs: SongSummary[];
  efforts: Map<number, RungEffort[]>;
  /** What the log says a song holds, by its number. */
  holds: Map<number, string>;
  onRemove: (song: SongSummary) => void;
}) {
  const list = useRef<HTMLUListElement>(null);
  // Its functions change from draw to draw; nothing here keeps them.
  // eslint-disable-next-line react-hooks/incompatible-library
  const rows = useVirtualizer({
    count: songs.length,
    getScrollElement: () => list.current?.closest('[data-scroller]') ?? null,
    estimateSize: () => LINE_HEIGHT,
    getItemKey: (index) => songs[index]?.id ?? index,
    scrollMargin: list.current?.offsetTop ?? 0,
    overscan: 12,
  });
  const shown = rows.getVirtualItems();
  const before = (shown[0]?.start ?? 0) - rows.options.scrollMargin;
  const after = rows.getTotalSize() - (shown.at(-1)?.end ?? 0) + rows.options.scrollMargin;
  return (
    <Box
      component="ul"
      ref={list}
      sx={{ listStyle: 'none', m: 0, p: 0 }}
      style={{ paddingTop: Math.max(0, before), paddingBottom: Math.max(0, after) }}
    >
      {shown.map(({ index }) => {
        const song = songs[index];
        return song ? (
          <SongLine
            key={song.id}
            measure={rows.measureElement}
            index={index}
            count={songs.length}
            song={song}
            efforts={efforts.get(song.id)}
            holds={holds.get(song.id)}
            onRemove={() => onRemove(song)}
          />
        ) : null;
      })}
    </Box>
  );
}

function SongLine({
  measure,
  index,
  count,
  song,
  efforts,
  holds,
  onRemove,
}: {
  /** Takes the height of the line: long titles wrap. */
  measure: (line: HTMLLIElement | null) => void;
  index: number;
  count: number;
  song: SongSummary;
  efforts: RungEffort[] | undefined;
  holds: string | undefined;
  onRemove: () => void;
}) {
  return (
    <Box
      component="li"
      ref={measure}
      data-index={index}
      aria-posinset={index + 1}
      aria-setsize={count}
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
          {song.faults > 0 && ` · ${counted(song.faults, 'place')} to look at`}
          {song.practisedAt && ` · ${practisedWords(song.practisedAt, new Date())}`}
          {song.playedOn && ` · played on ${dayWords(song.playedOn)}`}
          {holds && ` · ${holds}`}
        </Typography>
      </Box>
      <Efforts efforts={efforts} />
      <IconButton aria-label={`Remove ${song.title}`} onClick={onRemove} sx={{ width: 44, height: 44 }}>
        <DeleteOutlined />
      </IconButton>
    </Box>
  );
}

const HARDEST = 14;
const BAR_HEIGHT = 30;

/** Effort a bar on each rung as five small columns, and the capo with the least effort on the third. */
function Efforts({ efforts }: { efforts: RungEffort[] | undefined }) {
  const words = efforts
    ?.map(
      (e) =>
        `rung ${e.rung}: ${e.effort.toFixed(1)} a bar, capo ${e.capo}${e.beyond > 0 ? ', too hard' : ''}`,
    )
    .join('; ');
  return (
    <Box
      role="img"
      aria-label={words ?? 'Effort is being worked out'}
      title={words}
      sx={{
        display: 'flex',
        alignItems: 'flex-end',
        gap: '3px',
        height: BAR_HEIGHT,
        width: 122,
        flex: 'none',
      }}
    >
      {efforts?.map((e) => (
        <Box
          key={e.rung}
          sx={{
            width: 9,
            height: Math.max(3, (BAR_HEIGHT * Math.min(e.effort, HARDEST)) / HARDEST),
            bgcolor: e.beyond > 0 ? 'transparent' : 'draw.stays',
            border: e.beyond > 0 ? 2 : 0,
            borderColor: 'draw.misfit',
          }}
        />
      ))}
      {efforts?.[2] && (
        <Typography variant="caption" color="text.secondary" sx={{ ml: 0.5, whiteSpace: 'nowrap' }}>
          {efforts[2].capo === 0 ? 'no capo' : `capo ${efforts[2].capo}`}
        </Typography>
      )}
    </Box>
  );
}
