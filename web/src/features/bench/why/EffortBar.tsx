import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Effort } from '../../../api/client';

const SHADES = ['100%', '72%', '50%', '34%', '22%'];

/** An effort as a bar made of its terms, the largest first, never a bare number. */
export function EffortBar({ effort, title }: { effort: Effort; title: string }) {
  const terms = [...effort.terms].filter((t) => t.value > 0.005).sort((a, b) => b.value - a.value);
  const sum = terms.reduce((total, term) => total + term.value, 0);
  return (
    <Box>
      <Typography variant="h3" component="h3" sx={{ color: 'text.secondary', mb: 0.5 }}>
        {title} {effort.total.toFixed(1)}
      </Typography>
      {sum > 0 && (
        <Box sx={{ display: 'flex', gap: '2px', height: 16 }} aria-hidden>
          {terms.map((term, index) => (
            <Box
              key={term.name}
              sx={{
                flex: term.value / sum,
                minWidth: 3,
                bgcolor: 'draw.stays',
                opacity: SHADES[Math.min(index, SHADES.length - 1)],
              }}
            />
          ))}
        </Box>
      )}
      <Typography variant="caption" color="text.secondary">
        {terms.length === 0
          ? 'nothing moves'
          : terms.map((term) => `${term.name} ${term.value.toFixed(1)}`).join(' · ')}
      </Typography>
    </Box>
  );
}
