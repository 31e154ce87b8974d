import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { api } from '../../../api/client';
import { useWork } from '../state/BenchWork';
import { Problem } from '../../../shared/Problem';

/** Varies what the song repeats, or leaves it plain again. */
export function SecondTime() {
  const { body, decisions, decide } = useWork();
  const vary = useMutation({
    mutationFn: () => api.variation(body ?? {}),
    onSuccess: (found) => {
      const others = decisions.fills.filter(
        (f) => !found.some((v) => v.placement === f.placement && (v.part ?? 0) === (f.part ?? 0)),
      );
      if (found.length > 0) {
        decide({ fills: [...others, ...found] });
      }
    },
  });
  return (
    <Box>
      <Typography variant="h3" component="h3" color="text.secondary">
        The second time
      </Typography>
      <Typography variant="body2">
        {decisions.fills.length === 0
          ? 'What is repeated is played as before.'
          : `${decisions.fills.length} ${decisions.fills.length === 1 ? 'fill is' : 'fills are'} played.`}
        {vary.data?.length === 0 && ' Nothing here is repeated, or no fill of this rung fits in time.'}
      </Typography>
      <Box sx={{ display: 'flex', gap: 1, mt: 0.5 }}>
        <Button
          size="small"
          variant="outlined"
          disabled={vary.isPending || !body}
          onClick={() => vary.mutate()}
        >
          Vary it
        </Button>
        {decisions.fills.length > 0 && (
          <Button size="small" onClick={() => decide({ fills: [] })}>
            No fills
          </Button>
        )}
      </Box>
      {vary.isError && <Problem error={vary.error} />}
    </Box>
  );
}
