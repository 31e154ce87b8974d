import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import NativeSelect from '@mui/material/NativeSelect';
import Skeleton from '@mui/material/Skeleton';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { MONO } from '../../theme/theme';
import { GripFrame } from '../../shared/GripFrame';
import { Handed } from '../../shared/Handed';
import { Problem } from '../../shared/Problem';
import { differences, facts, type Comparable, type Difference } from './compare';
import { useKeptPart } from './useKeptPart';
import { useVersions, type Kept } from './useVersions';

/** Versions of an arrangement, two of them side by side. */
export function VersionsView() {
  const id = Number(useParams().id);
  const navigate = useNavigate();
  const { song, versions, keep, removal, take } = useVersions(id);
  const [name, setName] = useState('');
  const [left, setLeft] = useState<number | null>(null);
  const [right, setRight] = useState<number | null | undefined>(undefined);
  const now: Kept | undefined = song.data && { ...song.data, id: null, name: 'On the bench now' };
  const all: Kept[] = now ? [now, ...(versions.data ?? [])] : [];
  const find = (wanted: number | null) => all.find((k) => k.id === wanted) ?? all[0];
  const rightId = right === undefined ? (versions.data?.at(-1)?.id ?? null) : right;
  const error = song.error ?? versions.error ?? keep.error;
  return (
    <Box component="main" sx={{ p: { xs: 2, md: 3 }, maxWidth: 1120 }}>
      <Typography variant="h1">Versions of {song.data?.title ?? '…'}</Typography>
      {error && <Problem error={error} />}
      {removal.notice}
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          if (song.data) {
            keep.mutate(
              { name, of: song.data },
              {
                onSuccess: (kept) => {
                  setName('');
                  setRight(kept.id);
                },
              },
            );
          }
        }}
        sx={{ display: 'flex', gap: 1.5, my: 2, flexWrap: 'wrap' }}
      >
        <TextField
          size="small"
          label="Name for what is on the bench"
          value={name}
          onChange={(event) => setName(event.target.value)}
          sx={{ minWidth: 280 }}
        />
        <Button type="submit" variant="contained" disabled={name.trim() === '' || keep.isPending}>
          Keep it as a version
        </Button>
      </Box>
      {versions.data?.length === 0 && (
        <Typography sx={{ maxWidth: '62ch' }}>
          No version is kept yet. Keep one before you try another capo, rung or player, and both stand here
          side by side.
        </Typography>
      )}
      {song.isPending && <Skeleton variant="rounded" height={240} />}
      {all.length > 1 && (
        <Comparison
          songId={id}
          all={all}
          left={find(left)}
          right={find(rightId)}
          onLeft={setLeft}
          onRight={setRight}
          busy={removal.busy}
          onUse={(kept) => {
            if (song.data) {
              take(kept, song.data);
              void navigate(`/songs/${id}`);
            }
          }}
          onRemove={(kept) => kept.id !== null && removal.remove({ ...kept, id: kept.id })}
        />
      )}
    </Box>
  );
}

function Comparison({
  songId,
  all,
  left,
  right,
  busy,
  onLeft,
  onRight,
  onUse,
  onRemove,
}: {
  songId: number;
  all: Kept[];
  left: Kept | undefined;
  right: Kept | undefined;
  busy: boolean;
  onLeft: (id: number | null) => void;
  onRight: (id: number | null) => void;
  onUse: (kept: Kept) => void;
  onRemove: (kept: Kept) => void;
}) {
  const [anew, setAnew] = useState<number[]>([]);
  const isAnew = (kept: Kept | undefined) => kept?.id != null && anew.includes(kept.id);
  const first = useKeptPart(songId, left, isAnew(left));
  const second = useKeptPart(songId, right, isAnew(right));
  const error = first.error ?? second.error;
  return (
    <>
      <Box sx={{ display: 'grid', gridTemplateColumns: COLUMNS, alignItems: 'start', columnGap: 2 }}>
        <span />
        {[
          { kept: left, of: first, pick: onLeft, label: 'Version on the left' },
          { kept: right, of: second, pick: onRight, label: 'Version on the right' },
        ].map(({ kept, of, pick, label }) => (
          <Box key={label}>
            <NativeSelect
              value={kept?.id ?? ''}
              inputProps={{ 'aria-label': label }}
              onChange={(event) => pick(event.target.value === '' ? null : Number(event.target.value))}
              sx={{ fontWeight: 700, width: '100%', minHeight: 44 }}
            >
              {all.map((k) => (
                <option key={k.id ?? 'now'} value={k.id ?? ''}>
                  {k.name}
                </option>
              ))}
            </NativeSelect>
            {of.note && (
              <Typography variant="body2" color="text.secondary">
                {of.note}
              </Typography>
            )}
            {kept && kept.id !== null && (
              <>
                {of.aged && (
                  <Button
                    size="small"
                    onClick={() =>
                      setAnew((now) =>
                        isAnew(kept) ? now.filter((id) => id !== kept.id) : [...now, kept.id ?? 0],
                      )
                    }
                  >
                    {isAnew(kept) ? 'As it was kept' : 'Plan anew'}
                  </Button>
                )}
                <Button size="small" disabled={busy} onClick={() => onUse(kept)}>
                  Put on the bench
                </Button>
                <Button size="small" color="error" disabled={busy} onClick={() => onRemove(kept)}>
                  Remove
                </Button>
              </>
            )}
          </Box>
        ))}
      </Box>
      {error != null && <Problem error={error} />}
      {first.part && second.part ? (
        <SideBySide
          left={first.part}
          right={second.part}
          players={[left, right].map((kept) => kept?.decisions.playerId ?? null)}
        />
      ) : (
        !error && <Skeleton variant="rounded" height={240} />
      )}
    </>
  );
}

const COLUMNS = { xs: '5.5em 1fr 1fr', md: '9em 1fr 1fr' };

function SideBySide({
  left,
  right,
  players,
}: {
  left: Comparable;
  right: Comparable;
  /** Who plays the left and who the right one. */
  players: (number | null)[];
}) {
  const others = differences(left, right);
  return (
    <>
      <Box role="table" aria-label="Two versions compared" sx={{ mt: 1 }}>
        {facts(left, right).map((fact) => (
          <Box
            role="row"
            key={fact.name}
            sx={{
              display: 'grid',
              gridTemplateColumns: COLUMNS,
              columnGap: 2,
              py: 0.5,
              borderBottom: 1,
              borderColor: 'divider',
            }}
          >
            <Box role="rowheader" sx={{ color: 'text.secondary' }}>
              {fact.name}
            </Box>
            {[fact.left, fact.right].map((value, side) => (
              <Box
                role="cell"
                key={side}
                sx={{ fontWeight: fact.left === fact.right ? 400 : 700, fontSize: '1.05rem' }}
              >
                {value}
              </Box>
            ))}
          </Box>
        ))}
      </Box>
      <Typography variant="h2" sx={{ mt: 3, mb: 1 }}>
        {others.length === 0 ? 'Every grip is the same' : 'Where the grips differ'}
      </Typography>
      {others.map((other, i) => (
        <Other key={i} other={other} players={players} />
      ))}
    </>
  );
}

function Other({ other, players }: { other: Difference; players: (number | null)[] }) {
  return (
    <Box
      sx={{ display: 'grid', gridTemplateColumns: COLUMNS, columnGap: 2, alignItems: 'center', py: 0.5 }}
      data-testid="difference"
    >
      <Box sx={{ color: 'text.secondary' }}>
        bar {other.bar}
        <br />
        {other.section}
      </Box>
      {[other.left, other.right].map(({ name, grip }, side) => (
        <Box key={side} sx={{ display: 'flex', alignItems: 'center', gap: 1.5, flexWrap: 'wrap' }}>
          {grip && (
            <Handed playerId={players[side] ?? null}>
              <GripFrame grip={grip} size={0.85} />
            </Handed>
          )}
          <span>
            <strong>{name}</strong>{' '}
            <Box component="span" sx={{ fontFamily: MONO }}>
              {grip?.shape ?? 'not there'}
            </Box>
          </span>
        </Box>
      ))}
    </Box>
  );
}
