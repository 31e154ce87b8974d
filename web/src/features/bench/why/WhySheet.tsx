import ExpandLessIcon from '@mui/icons-material/ExpandLess';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Drawer from '@mui/material/Drawer';
import { useState } from 'react';
import { useArranged, usePlacement } from '../state/BenchWork';
import { timeWords } from '../../../shared/words';
import { WhyPanel } from './WhyPanel';

/** Why, on a narrow screen: one line over the playback, from which it comes up as a sheet. */
export function WhySheet() {
  const [open, setOpen] = useState(false);
  const line = useLine();
  return (
    <>
      <Button
        fullWidth
        color="inherit"
        aria-expanded={open}
        onClick={() => setOpen(true)}
        endIcon={<ExpandLessIcon />}
        sx={{
          justifyContent: 'space-between',
          textAlign: 'left',
          px: 2,
          borderRadius: 0,
          bgcolor: 'draw.panel',
        }}
      >
        {line}
      </Button>
      <Drawer
        anchor="bottom"
        open={open}
        onClose={() => setOpen(false)}
        slotProps={{ paper: { sx: { maxHeight: '82dvh', borderRadius: '12px 12px 0 0' } } }}
      >
        <Box sx={{ display: 'flex', justifyContent: 'flex-end', bgcolor: 'draw.panel' }}>
          <Button onClick={() => setOpen(false)}>Close</Button>
        </Box>
        <WhyPanel />
      </Drawer>
    </>
  );
}

function useLine(): string {
  const arrangement = useArranged();
  const placement = usePlacement();
  if (!placement) {
    return 'Why: the whole song';
  }
  const change = arrangement.changes.find((c) => c.to === placement.index);
  const before = change && arrangement.placements[change.from]?.played;
  const name = placement.played ?? 'no chord';
  return change
    ? `Why: ${before ?? ''} to ${name}, ${timeWords(change).text.split(': ')[1]}`
    : `Why: ${name}`;
}
