import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import Skeleton from '@mui/material/Skeleton';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type TuneChords } from '../../api/client';
import { Problem } from '../../shared/Problem';
import { counted } from '../../shared/words';
import { hearTune } from '../sound/hearTune';

const SECONDS_A_BEAT = 0.6;

type Offer = TuneChords['bars'][number];

/**
 * Chords for a tune that has none: three for every bar, each with its reason. They are proposals until they are taken; what is
 * chosen for one bar moves what is proposed for those beside it.
 */
export function TuneChordsDialog({
  source,
  onTake,
  onClose,
}: {
  source: string;
  /** Takes the text with the chords in it. */
  onTake: (source: string) => void;
  onClose: () => void;
}) {
  const [chosen, setChosen] = useState<Record<string, string>>({});
  const asked = useQuery({
    queryKey: ['tune chords', source, chosen],
    queryFn: ({ signal }) => api.tuneChords(source, chosen, signal),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  });
  const { data } = asked;
  const choose = (bar: number, chord: string) => setChosen((now) => ({ ...now, [bar]: chord }));
  const heard = useMutation({
    mutationFn: ({ source: text }: { source: string; from: number }) => api.tune(text),
    onSuccess: ({ bars, notes }, { from }) =>
      hearTune('both', bars, notes, bars[from - 1]?.from ?? 0, SECONDS_A_BEAT),
  });
  const hear = (from: number) => data && heard.mutate({ source: data.source, from });
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="tune-chords-title">
      <Box sx={{ p: 2.5, display: 'flex', flexDirection: 'column', gap: 1.5, minHeight: 0 }}>
        <Box>
          <Typography id="tune-chords-title" variant="h2">
            Chords under the tune
          </Typography>
          <Typography variant="body2" role="status">
            {data
              ? `Proposals for ${counted(data.bars.length, 'bar')} in ${data.key}. Choose another where you hear one: the bars beside it follow.`
              : 'Listening to the tune.'}
          </Typography>
        </Box>
        {asked.isError && <Problem error={asked.error} onRetry={() => void asked.refetch()} />}
        {heard.isError && <Problem error={heard.error} />}
        {asked.isPending && <Skeleton variant="rounded" height={260} />}
        {data && (
          <Box
            component="ul"
            aria-label="Bars without chords"
            aria-busy={asked.isPlaceholderData}
            sx={{
              listStyle: 'none',
              m: 0,
              p: 0,
              overflowY: 'auto',
              display: 'grid',
              gridTemplateColumns: 'repeat(auto-fill, minmax(250px, 1fr))',
              gap: 1,
            }}
          >
            {data.bars.map((offer, i) => (
              <Bar
                key={offer.bar}
                offer={offer}
                heading={offer.section !== data.bars[i - 1]?.section ? offer.section : ''}
                onChoose={(chord) => choose(offer.bar, chord)}
                onHear={() => hear(offer.bar)}
              />
            ))}
          </Box>
        )}
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
          <Button
            variant="contained"
            disabled={!data || asked.isPlaceholderData}
            onClick={() => {
              if (data) {
                onTake(data.source);
                onClose();
              }
            }}
          >
            Take these chords
          </Button>
          <Button disabled={!data} onClick={() => hear(1)}>
            Hear tune and chords
          </Button>
          <Button disabled={Object.keys(chosen).length === 0} onClick={() => setChosen({})}>
            As proposed
          </Button>
          <Button onClick={onClose}>Leave the bars empty</Button>
        </Box>
      </Box>
    </Dialog>
  );
}

function Bar({
  offer,
  heading,
  onChoose,
  onHear,
}: {
  offer: Offer;
  /** Name of the part that begins here; blank where none does. */
  heading: string;
  onChoose: (chord: string) => void;
  onHear: () => void;
}) {
  const taken = offer.proposals.find((proposal) => proposal.chord === offer.chord);
  return (
    <>
      {heading !== '' && (
        <Typography component="li" variant="h3" sx={{ gridColumn: '1 / -1', mt: 0.5 }}>
          {heading}
        </Typography>
      )}
      <Box component="li" data-bar={offer.bar} sx={{ borderTop: 1, borderColor: 'divider', pt: 0.75 }}>
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
          <Button
            size="small"
            sx={{ minWidth: 0, color: 'text.secondary' }}
            onClick={onHear}
            aria-label={`Hear from bar ${offer.bar} on`}
          >
            bar {offer.bar}
          </Button>
          <ToggleButtonGroup
            exclusive
            size="small"
            value={offer.chord}
            aria-label={`Chord of bar ${offer.bar}`}
            onChange={(_, chord: string | null) => chord !== null && onChoose(chord)}
          >
            {offer.proposals.map((proposal) => (
              <ToggleButton
                key={proposal.chord}
                value={proposal.chord}
                title={proposal.reason}
                sx={{ textTransform: 'none', fontWeight: 700, fontSize: '1rem', px: 1.5, minHeight: 44 }}
              >
                {proposal.glyphs}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
        </Box>
        <Typography variant="body2" color="text.secondary">
          {offer.chosen && 'Chosen. '}
          {taken?.reason}
        </Typography>
      </Box>
    </>
  );
}
