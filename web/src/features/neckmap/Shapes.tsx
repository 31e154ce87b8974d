import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import type { FormPlace, MapShape, Triad } from '../../api/client';
import { GripFrame } from '../../shared/GripFrame';
import { inversionWords } from '../../shared/inversions';
import { MONO } from '../../theme/theme';

/** A shape as a frame, or as text where no hand holds it; it opens on the desk. */
function Shape({ shape, desk, size }: { shape: MapShape; desk: URLSearchParams; size: number }) {
  const to = new URLSearchParams(desk);
  to.set('frets', shape.shape);
  return (
    <Box
      component={Link}
      to={`/shapes?${to.toString()}`}
      aria-label={`${shape.shape} on the shape desk`}
      sx={{ color: 'text.primary', display: 'inline-block', textDecoration: 'none' }}
    >
      {shape.grip ? (
        <GripFrame grip={shape.grip} size={size} />
      ) : (
        <Box component="span" sx={{ fontFamily: MONO }}>
          {shape.shape}
        </Box>
      )}
    </Box>
  );
}

/** The five forms in their order along the neck, whole and in their parts. */
export function Forms({ forms, desk }: { forms: FormPlace[]; desk: URLSearchParams }) {
  return (
    <Box component="section" aria-label="Forms" sx={{ breakInside: 'avoid' }}>
      <Typography variant="h3" component="h2" sx={{ mb: 0.5 }}>
        Forms along the neck
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2 }}>
        {forms.map((form) => (
          <Box key={form.form} data-testid="form">
            <Typography sx={{ fontWeight: 700 }}>
              {form.form} form{' '}
              <Typography component="span" color="text.secondary">
                {form.fret === 0 ? 'at the nut' : `at ${form.fret}`}
              </Typography>
            </Typography>
            {form.whole ? (
              <Box sx={{ display: 'flex', alignItems: 'flex-end' }}>
                <Shape shape={form.whole} desk={desk} size={1} />
                {form.lower && <Part name="lower" shape={form.lower} desk={desk} />}
                {form.upper && <Part name="upper" shape={form.upper} desk={desk} />}
              </Box>
            ) : (
              <Typography variant="body2" color="text.secondary">
                no usual shape
              </Typography>
            )}
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function Part({ name, shape, desk }: { name: string; shape: MapShape; desk: URLSearchParams }) {
  return (
    <Box sx={{ textAlign: 'center' }}>
      <Typography variant="caption" color="text.secondary" component="div">
        {name}
      </Typography>
      <Shape shape={shape} desk={desk} size={0.62} />
    </Box>
  );
}

/** A chord's triad on each group of strings. */
export function TriadRows({ triads, desk }: { triads: Triad[]; desk: URLSearchParams }) {
  const groups = [...new Set(triads.map((t) => t.strings))];
  return (
    <Box component="section" aria-label="Triads" className="map-screen">
      <Typography variant="h3" component="h2" sx={{ mb: 0.5 }}>
        Triads on three strings
      </Typography>
      {groups.map((group) => (
        <Box key={group} sx={{ display: 'flex', alignItems: 'center', gap: 1, mb: 0.5 }}>
          <Typography sx={{ flex: 'none', width: 84 }}>strings {group}</Typography>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
            {triads
              .filter((t) => t.strings === group)
              .map((t) => (
                <Box key={t.shape.shape} sx={{ textAlign: 'center' }} data-testid="triad">
                  <Shape shape={t.shape} desk={desk} size={0.72} />
                  <Typography variant="caption" component="div" color="text.secondary">
                    {inversionWords(t.inversion)}
                  </Typography>
                </Box>
              ))}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
