import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Guitar, type GuitarBuild, type Player, type PlayerLimits } from '../../api/client';
import { playerKeys } from '../../api/queryKeys';
import { useGuitars, usePlayers } from '../../api/useArrangement';
import { HouseRulesPanel } from '../../shared/HouseRulesPanel';
import { Problem } from '../../shared/Problem';
import { useDraftOf } from '../../shared/useDraft';
import { usePageTitle } from '../../shared/usePageTitle';
import { useRemoval, type Removal } from '../../shared/useRemoval';
import { HandDetails } from './HandDetails';
import { reachFret } from './reach';

const NEW_PLAYER: PlayerLimits = {
  name: '',
  rung: 1,
  comfortableMm: 100,
  widestMm: 128,
  pairs: [],
  thumb: false,
  changeFactor: 1,
  shapes: [],
  leftHanded: false,
  houseRules: {},
  practice: null,
};

const NEW_GUITAR: GuitarBuild = {
  name: '',
  kind: 'acoustic',
  scaleLengthMm: 648,
  nutSpreadMm: 36,
  bridgeSpreadMm: 52,
  frets: 20,
  tuning: 'E2 A2 D3 G3 B3 E4',
};

/** Hands with their limits, and the guitars they play. */
export function PlayersView() {
  usePageTitle('Players and guitars');
  const players = usePlayers();
  const guitars = useGuitars();
  const player = useRemoval<Player>({
    remove: ({ id }) => api.removePlayer(id),
    putBack: ({ id }) => api.putBackPlayer(id),
    said: ({ limits }) => `${limits.name} was removed. Songs this player had say so.`,
    reread: [{ queryKey: playerKeys.players }],
  });
  const guitar = useRemoval<Guitar>({
    remove: ({ id }) => api.removeGuitar(id),
    putBack: ({ id }) => api.putBackGuitar(id),
    said: ({ build }) => `${build.name} was removed.`,
    reread: [{ queryKey: playerKeys.guitars }],
  });
  return (
    <Box component="main" sx={{ p: { xs: 2, md: 3 }, maxWidth: 1120 }}>
      <Typography variant="h1">Players and guitars</Typography>
      <Typography sx={{ mt: 1, maxWidth: '70ch' }}>
        Put your index finger at fret 1 of the low string. How far does the little finger reach easily, and
        how far at most? A stretch must never hurt: stop at pain, tingling or numbness, and see a qualified
        health professional or your teacher. Underhand never raises these limits by itself.
      </Typography>
      {players.isError && <Problem error={players.error} onRetry={() => void players.refetch()} />}
      {players.data?.map((one) => (
        <PlayerRow key={`player ${one.id}.${one.version}`} player={one} removal={player} />
      ))}
      {player.notice}
      <PlayerRow key={`new player ${players.data?.length}`} />
      <Typography variant="h2" sx={{ mt: 3 }}>
        Guitars
      </Typography>
      {guitars.isError && <Problem error={guitars.error} onRetry={() => void guitars.refetch()} />}
      {guitars.data?.map((one) => (
        <GuitarRow key={`guitar ${one.id}.${one.version}`} guitar={one} removal={guitar} />
      ))}
      {guitar.notice}
      <GuitarRow key={`new guitar ${guitars.data?.length}`} />
    </Box>
  );
}

/** Writes, reads again, and forgets the draft of what is written. */
function useWriting(key: readonly string[], forget: () => void) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (write: () => Promise<unknown>) => write(),
    onSuccess: () => {
      forget();
      return queries.invalidateQueries({ queryKey: key });
    },
  });
}

function Row({
  busy,
  isNew,
  changed,
  named,
  what,
  error,
  onSave,
  onGiveUp,
  onRemove,
  children,
}: {
  busy: boolean;
  isNew: boolean;
  changed: boolean;
  named: boolean;
  what: string;
  error: unknown;
  onSave: () => void;
  /** Back to what is stored. */
  onGiveUp: () => void;
  onRemove: () => void;
  children: React.ReactNode;
}) {
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        onSave();
      }}
      sx={{ py: 1.5, borderBottom: 1, borderColor: 'divider' }}
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'flex-start', rowGap: 1 }}>
        {children}
        <Button
          type="submit"
          variant={isNew ? 'contained' : 'outlined'}
          disabled={busy || !changed || !named}
        >
          {isNew ? `Add the ${what}` : 'Save'}
        </Button>
        {changed && (
          <Button disabled={busy} onClick={onGiveUp}>
            Give up the changes
          </Button>
        )}
        {!isNew && (
          <Button color="error" disabled={busy} onClick={onRemove}>
            Remove
          </Button>
        )}
      </Box>
      {error !== null && (
        <Box sx={{ mt: 1 }}>
          <Problem error={error} />
        </Box>
      )}
    </Box>
  );
}

const native = { select: { native: true }, inputLabel: { shrink: true } } as const;

function PlayerRow({ player, removal }: { player?: Player; removal?: Removal<Player> }) {
  const before = player?.limits ?? NEW_PLAYER;
  const draft = useDraftOf(`player.${player ? `${player.id}.${player.version}` : 'new'}`, before);
  const limits = draft.value;
  const writing = useWriting(playerKeys.players, draft.forget);
  const set = (change: Partial<PlayerLimits>) => draft.set({ ...limits, ...change });
  return (
    <Row
      what="player"
      busy={writing.isPending || removal?.busy === true}
      isNew={!player}
      changed={draft.isChanged}
      named={limits.name.trim() !== ''}
      onGiveUp={() => draft.set(before)}
      error={writing.error}
      onSave={() =>
        writing.mutate(() =>
          player ? api.changePlayer(player.id, player.version, limits) : api.addPlayer(limits),
        )
      }
      onRemove={() => player && removal?.remove(player)}
    >
      <TextField
        label={player ? 'Name' : 'New player'}
        size="small"
        value={limits.name}
        onChange={(event) => set({ name: event.target.value })}
      />
      <TextField
        select
        label="Rung"
        size="small"
        slotProps={native}
        value={limits.rung}
        onChange={(event) => set({ rung: Number(event.target.value) })}
      >
        {[1, 2, 3, 4, 5].map((rung) => (
          <option key={rung}>{rung}</option>
        ))}
      </TextField>
      <Reach
        label="Little finger easily to"
        mm={limits.comfortableMm}
        onReach={(mm) => set({ comfortableMm: mm, widestMm: Math.max(mm, limits.widestMm) })}
      />
      <Reach
        label="At most to"
        mm={limits.widestMm}
        onReach={(mm) => set({ widestMm: mm, comfortableMm: Math.min(mm, limits.comfortableMm) })}
      />
      <FormControlLabel
        label="thumb over the edge"
        control={
          <Checkbox checked={limits.thumb} onChange={(event) => set({ thumb: event.target.checked })} />
        }
      />
      <FormControlLabel
        label="left-handed"
        control={
          <Checkbox
            checked={limits.leftHanded}
            onChange={(event) => set({ leftHanded: event.target.checked })}
          />
        }
      />
      <HandDetails limits={limits} onChange={set} />
      <HouseRulesPanel
        rules={limits.houseRules}
        decided={limits.houseRules}
        inherited="usual"
        without={['thumb']}
        onDecide={(change) => set({ houseRules: { ...limits.houseRules, ...change } })}
      />
    </Row>
  );
}

function Reach({ label, mm, onReach }: { label: string; mm: number; onReach: (mm: number) => void }) {
  const reaches = useQuery({ queryKey: ['reaches'], queryFn: api.reaches, staleTime: Infinity }).data ?? [];
  return (
    <TextField
      select
      label={label}
      size="small"
      slotProps={native}
      value={reachFret(reaches, mm) ?? ''}
      helperText={`${Math.round(mm)} mm`}
      sx={{ width: 180 }}
      onChange={(event) => onReach(reaches.find((r) => r.fret === Number(event.target.value))?.mm ?? mm)}
    >
      {reaches.map(({ fret }) => (
        <option key={fret} value={fret}>
          fret {fret}
        </option>
      ))}
    </TextField>
  );
}

function GuitarRow({ guitar, removal }: { guitar?: Guitar; removal?: Removal<Guitar> }) {
  const before = guitar?.build ?? NEW_GUITAR;
  const draft = useDraftOf(`guitar.${guitar ? `${guitar.id}.${guitar.version}` : 'new'}`, before);
  const build = draft.value;
  const writing = useWriting(playerKeys.guitars, draft.forget);
  const set = (change: Partial<GuitarBuild>) => draft.set({ ...build, ...change });
  return (
    <Row
      what="guitar"
      busy={writing.isPending || removal?.busy === true}
      isNew={!guitar}
      changed={draft.isChanged}
      named={build.name.trim() !== ''}
      onGiveUp={() => draft.set(before)}
      error={writing.error}
      onSave={() =>
        writing.mutate(() =>
          guitar ? api.changeGuitar(guitar.id, guitar.version, build) : api.addGuitar(build),
        )
      }
      onRemove={() => guitar && removal?.remove(guitar)}
    >
      <TextField
        label={guitar ? 'Name' : 'New guitar'}
        size="small"
        value={build.name}
        onChange={(event) => set({ name: event.target.value })}
      />
      <TextField
        select
        label="Kind"
        size="small"
        slotProps={native}
        value={build.kind}
        onChange={(event) => set({ kind: event.target.value as GuitarBuild['kind'] })}
      >
        {['acoustic', 'nylon', 'electric'].map((kind) => (
          <option key={kind}>{kind}</option>
        ))}
      </TextField>
      <TextField
        label="Scale length, mm"
        size="small"
        type="number"
        sx={{ width: 140 }}
        value={build.scaleLengthMm}
        onChange={(event) => set({ scaleLengthMm: Number(event.target.value) })}
      />
      <TextField
        label="Frets"
        size="small"
        type="number"
        sx={{ width: 90 }}
        value={build.frets}
        onChange={(event) => set({ frets: Number(event.target.value) })}
      />
      <TextField
        label="Tuning, low to high"
        size="small"
        value={build.tuning}
        onChange={(event) => set({ tuning: event.target.value })}
      />
    </Row>
  );
}
