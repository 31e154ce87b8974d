import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import Typography from '@mui/material/Typography';
import { KEYS } from '../../shared/keyTable';
import { MONO } from '../../theme/theme';

const GROUPS = ['on the bench', 'on the sheet', 'in the songbook', 'everywhere'] as const;

/** All keys, by where they are heard. */
export function KeysDialog({ onClose }: { onClose: () => void }) {
  return (
    <Dialog open onClose={onClose} maxWidth="md" aria-labelledby="keys-title">
      <Box sx={{ p: 2.5 }}>
        <Typography id="keys-title" variant="h2">
          Keys
        </Typography>
        <Box sx={{ columns: { sm: 2 }, columnGap: 5 }}>
          {GROUPS.map((group) => (
            <Box key={group} sx={{ breakInside: 'avoid', pt: 1.5 }}>
              <Typography variant="h3" component="h3" color="text.secondary">
                {group[0]?.toUpperCase() + group.slice(1)}
              </Typography>
              {Object.values(KEYS)
                .filter(({ where }) => where === group)
                .map(({ shown, does }) => (
                  <Box
                    key={does}
                    sx={{ display: 'grid', gridTemplateColumns: '8.5em 1fr', py: 0.25, breakInside: 'avoid' }}
                  >
                    <Box component="kbd" sx={{ fontFamily: MONO, fontWeight: 700 }}>
                      {shown}
                    </Box>
                    {does}
                  </Box>
                ))}
            </Box>
          ))}
        </Box>
        <Button sx={{ mt: 1 }} onClick={onClose}>
          Close
        </Button>
      </Box>
    </Dialog>
  );
}
