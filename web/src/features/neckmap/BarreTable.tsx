import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { api } from '../../api/client';
import { MONO } from '../../theme/theme';

const FORMS = [
  { form: 'E', words: 'root on string 6' },
  { form: 'A', words: 'root on string 5' },
];

/** Which chord a barre is: the root by its fret, the quality by its shape. */
export function BarreTable({ tuning, capo }: { tuning: string; capo: number }) {
  const barres = useQuery({
    queryKey: ['barres', tuning, capo],
    queryFn: ({ signal }) => api.barres(tuning, capo, signal),
    retry: false,
  }).data;
  if (!barres || barres.shapes.length === 0) {
    return null;
  }
  const qualities = [...new Set(barres.shapes.map((s) => s.quality))];
  return (
    <Box
      component="section"
      tabIndex={0}
      aria-label="Barres"
      className="map-screen"
      sx={{ overflowX: 'auto' }}
    >
      <Typography variant="h3" component="h2" sx={{ mb: 0.5 }}>
        Barres
      </Typography>
      <Box
        component="table"
        sx={{
          borderCollapse: 'collapse',
          '& th, & td': { textAlign: 'left', py: 0.25, pr: 1.5, fontWeight: 400, whiteSpace: 'nowrap' },
          '& thead th': { fontWeight: 700 },
        }}
      >
        <thead>
          <tr>
            <th scope="col">barre at</th>
            {barres.roots.map((root) => (
              <th key={root.fret} scope="col">
                {root.fret}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {FORMS.map(({ form, words }, string) => (
            <tr key={form}>
              <th scope="row">{words}</th>
              {barres.roots.map((root) => (
                <td key={root.fret}>{root.names[string]}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </Box>
      <Box
        component="table"
        sx={{
          mt: 1,
          borderCollapse: 'collapse',
          '& th, & td': { textAlign: 'left', py: 0.25, pr: 2, fontWeight: 400, whiteSpace: 'nowrap' },
          '& td': { fontFamily: MONO },
          '& thead th': { fontWeight: 700 },
        }}
      >
        <thead>
          <tr>
            <th scope="col">shape at 1</th>
            {qualities.map((quality) => (
              <th key={quality} scope="col">
                {quality === '' ? 'major' : quality}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {FORMS.map(({ form, words }) => (
            <tr key={form}>
              <th scope="row">{words}</th>
              {qualities.map((quality) => (
                <td key={quality}>
                  {barres.shapes.find((s) => s.quality === quality && s.form === form)?.shape.shape ?? ''}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}
