import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { api, type TuningOption } from '../../../api/client';
import { useGuitars } from '../../../api/useArrangement';
import type { Work } from '../../../api/songSaver';
import { withTuning } from '../../../shared/chartTuning';
import { Problem } from '../../../shared/Problem';
import { STANDARD, useTunings } from '../../../shared/tunings';
import { useRemembered } from '../../../shared/useRemembered';
import { useWork } from '../state/BenchWork';

/** Tunings that are compared until a player says which ones do; the server takes a dozen. */
const FIRST = ['standard', 'half step down', 'drop D', 'double drop D', 'DADGAD', 'open D', 'open G'];
const MOST = 12;
const STRINGS = 6;

/** The song in other tunings: which one, with which capo, asks least of the hand. */
export function TuningDialog({
  source,
  onClose,
  onWrite,
}: {
  source: string;
  onClose: () => void;
  /** The chart with the tuning at its head; grips that were locked fall. */
  onWrite: (work: Work, fallen: string[]) => void;
}) {
  const { body, decisions } = useWork();
  const tunings = useTunings().filter((t) => t.strings.split(' ').length === STRINGS);
  const [stored, store] = useRemembered<string>('tunings.accepted', FIRST.join(','));
  const accepted = stored.split(',').filter((name) => tunings.some((t) => t.name === name));
  const guitar = useGuitars().data?.find((g) => g.id === decisions.guitarId);
  const isFixed = guitar !== undefined && guitar.build.tuning !== STANDARD;
  const stringsNamed = (name: string) => tunings.find((t) => t.name === name)?.strings ?? name;
  const compared = useMutation({
    mutationFn: () => api.inTunings({ ...body, capo: null }, accepted.map(stringsNamed)),
  });
  const nameOf = (option: TuningOption) =>
    tunings.find((t) => t.strings === option.strings)?.name ?? option.name;
  const take = (option: TuningOption) => {
    const fallen = decisions.locks.map(
      (lock) => `the grip ${String(lock.frets)}, which was for another tuning`,
    );
    onWrite(
      { source: withTuning(source, option.name), decisions: { ...decisions, capo: null, locks: [] } },
      fallen,
    );
  };
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="tuning-title">
      <Box sx={{ p: 2.5, display: 'flex', flexDirection: 'column', gap: 1.5 }}>
        <Typography id="tuning-title" variant="h2">
          Another tuning
        </Typography>
        {isFixed && (
          <Typography>
            {guitar.build.name} stays in its own tuning. Choose another guitar to tune it for the song.
          </Typography>
        )}
        <Typography>Choose the tunings you would take; up to {MOST} are compared.</Typography>
        <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(180px, 1fr))' }}>
          {tunings.map((tuning) => {
            const isIn = accepted.includes(tuning.name);
            return (
              <FormControlLabel
                key={tuning.name}
                label={tuning.name}
                control={
                  <Checkbox
                    checked={isIn}
                    disabled={!isIn && accepted.length >= MOST}
                    onChange={() =>
                      store(
                        (isIn
                          ? accepted.filter((name) => name !== tuning.name)
                          : [...accepted, tuning.name]
                        ).join(','),
                      )
                    }
                  />
                }
              />
            );
          })}
        </Box>
        <Box sx={{ display: 'flex', gap: 1 }}>
          <Button
            variant="contained"
            disabled={accepted.length === 0 || compared.isPending}
            onClick={() => compared.mutate()}
          >
            {compared.isPending ? 'Comparing' : 'Compare the tunings'}
          </Button>
          <Button onClick={onClose}>Close</Button>
        </Box>
        {compared.isError && <Problem error={compared.error} />}
        {compared.data && <Tunings options={compared.data} nameOf={nameOf} isFixed={isFixed} onTake={take} />}
      </Box>
    </Dialog>
  );
}

function Tunings({
  options,
  nameOf,
  isFixed,
  onTake,
}: {
  options: TuningOption[];
  /** What the player calls it. */
  nameOf: (option: TuningOption) => string;
  isFixed: boolean;
  onTake: (option: TuningOption) => void;
}) {
  const most = Math.max(...options.map((o) => o.capo.total));
  return (
    <Box component="ol" aria-label="Tunings, easiest first" sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {options.map((option) => (
        <Box component="li" key={option.strings}>
          <Box
            component="button"
            type="button"
            disabled={isFixed || option.now}
            onClick={() => onTake(option)}
            sx={{
              width: '100%',
              minHeight: 48,
              display: 'grid',
              gridTemplateColumns: '8em 5em 1fr',
              gap: 1,
              alignItems: 'center',
              py: 0.5,
              border: 0,
              borderBottom: 1,
              borderColor: 'divider',
              bgcolor: 'transparent',
              color: option.now ? 'primary.main' : 'text.primary',
              font: 'inherit',
              textAlign: 'left',
              cursor: 'pointer',
              '&:disabled': { cursor: 'default' },
            }}
          >
            <strong>
              {nameOf(option)}
              {option.now ? ', now' : ''}
            </strong>
            <Box sx={{ height: 10, width: `${(100 * option.capo.total) / most}%`, bgcolor: 'draw.stays' }} />
            <Box component="span" sx={{ fontSize: '0.9rem' }}>
              {option.capo.capo === 0 ? 'no capo' : `capo ${option.capo.capo}`},{' '}
              {option.capo.reasons.slice(0, 2).join(', ')}
              {option.retuned.length > 0 && <Turned option={option} />}
            </Box>
          </Box>
        </Box>
      ))}
    </Box>
  );
}

/** Which strings are turned and how far; a word of care where one goes up. */
function Turned({ option }: { option: TuningOption }) {
  const words = option.retuned.map((r) => `${r.string} ${r.cents > 0 ? 'up' : 'down'} ${Math.abs(r.cents)}`);
  return (
    <Box component="span" sx={{ display: 'block', color: 'text.secondary' }}>
      {option.retuned.length} {option.retuned.length === 1 ? 'string' : 'strings'} turned, in cents:{' '}
      {words.join(', ')}.
      {option.raises && ' A string tuned higher may break: turn slowly, your face away from it.'}
    </Box>
  );
}
