import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, type ComparedShape, type DeskAt, type DeskWay } from '../../api/client';
import { GripFrame } from '../../shared/GripFrame';
import { Problem } from '../../shared/Problem';
import { counted } from '../../shared/words';
import { MONO } from '../../theme/theme';

/** The shape on the desk beside one that was put aside: what each is, costs and sounds, and the change between them. */
export function Compare({
  at,
  aside,
  onSwap,
  onClose,
}: {
  at: DeskAt;
  aside: string;
  onSwap: () => void;
  onClose: () => void;
}) {
  const compared = useQuery({
    queryKey: ['compare', at, aside],
    queryFn: ({ signal }) => api.compare({ ...at, frets: aside }, at.frets, signal),
    placeholderData: keepPreviousData,
    retry: false,
  });
  const both = compared.data;
  return (
    <Box
      component="section"
      aria-label="Two shapes"
      sx={{ mt: 2, p: 2, border: 1, borderColor: 'divider', borderRadius: 2 }}
    >
      {compared.isError && <Problem error={compared.error} />}
      {both && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 3, alignItems: 'center' }}>
          <Side title="Put aside" side={both.one} />
          <Box sx={{ minWidth: 180, flex: '1 1 200px' }} data-testid="compared">
            <Typography>{counted(both.kept, 'string')} the same in both</Typography>
            <Way title="to the right" way={both.there} />
            <Way title="and back" way={both.back} />
          </Box>
          <Side title="On the desk" side={both.other} />
        </Box>
      )}
      <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
        <Button onClick={onSwap}>Swap them</Button>
        <Button onClick={onClose}>Stop comparing</Button>
      </Box>
    </Box>
  );
}

function Side({ title, side }: { title: string; side: ComparedShape }) {
  return (
    <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
      {side.grip && <GripFrame grip={side.grip} />}
      <Box>
        <Typography variant="caption" color="text.secondary">
          {title}
        </Typography>
        <Typography sx={{ fontWeight: 700 }}>{side.name || 'no name'}</Typography>
        <Typography sx={{ fontFamily: MONO }}>{side.shape}</Typography>
        <Typography variant="body2">{side.notes.join(' ')}</Typography>
        <Typography variant="body2" color="text.secondary">
          {side.grip
            ? `effort ${side.grip.effort.total.toFixed(1)}, ${Math.round(side.grip.spanMm)} mm`
            : 'no hand of this size holds it'}
        </Typography>
      </Box>
    </Box>
  );
}

function Way({ title, way }: { title: string; way: DeskWay | null }) {
  return way === null ? null : (
    <Typography variant="body2" color="text.secondary">
      {title}: {way.seconds.toFixed(2)} s
      {way.acts.length > 0 && `, ${way.acts.map((act) => `${act.finger} ${act.act}`).join(', ')}`}
    </Typography>
  );
}
