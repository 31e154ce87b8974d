import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Fault } from '../api/client';
import type { Mend } from './mend';
import { counted } from './words';

const MOST_SHOWN = 6;

interface Understanding {
  parts: number;
  bars: number;
  chords: number;
  /** Bars of a tune that have none. */
  waiting: number;
  key: string | null;
  faults: Fault[];
}

/** What was understood of a chart, in one line, and the places that are not sure, each with what would settle it. */
export function Understood({
  reading,
  stale,
  onGoTo,
  onMend,
  onPropose,
}: {
  reading: Understanding;
  /** Whether the text has changed since: its places are no longer where they were. */
  stale: boolean;
  onGoTo: (fault: Fault) => void;
  onMend: (mend: Mend) => void;
  /** Asks for chords under the tune. */
  onPropose: () => void;
}) {
  const unsure = reading.faults.filter((fault) => fault.kind !== 'told');
  const told = reading.faults.filter((fault) => fault.kind === 'told');
  return (
    <Box
      component="fieldset"
      disabled={stale}
      data-testid="understood"
      sx={{ mt: 1, p: 0, mx: 0, mb: 0, border: 0, minWidth: 0, maxHeight: { md: '24vh' }, overflowY: 'auto' }}
    >
      <Typography variant="body2" role="status">
        {reading.bars === 0 ? 'No chord found yet.' : `Understood: ${inOneLine(reading)}.`}{' '}
        {unsure.length > 0 && `${counted(unsure.length, 'place')} to look at:`}
      </Typography>
      {reading.waiting > 0 && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 1 }}>
          <Typography variant="body2">
            {counted(reading.waiting, 'bar')} of the tune {reading.waiting === 1 ? 'has' : 'have'} no chord.
          </Typography>
          <Button size="small" variant="outlined" onClick={onPropose}>
            Propose chords
          </Button>
        </Box>
      )}
      {unsure.slice(0, MOST_SHOWN).map((fault) => (
        <Place key={`${fault.line}:${fault.column}`} fault={fault} onGoTo={onGoTo} onMend={onMend} />
      ))}
      {unsure.length > MOST_SHOWN && (
        <Typography variant="body2">and {unsure.length - MOST_SHOWN} more, below these.</Typography>
      )}
      {told.length > 0 && (
        <Box component="details" sx={{ mt: 0.5 }}>
          <Typography component="summary" variant="body2" color="text.secondary" sx={{ cursor: 'pointer' }}>
            {counted(told.length, 'remark')}
          </Typography>
          {told.map((fault) => (
            <Place key={`${fault.line}:${fault.column}`} fault={fault} onGoTo={onGoTo} onMend={onMend} />
          ))}
        </Box>
      )}
    </Box>
  );
}

function inOneLine({ parts, bars, chords, key }: Understanding): string {
  const facts = [counted(parts, 'part'), counted(bars, 'bar'), counted(chords, 'chord')];
  return [...facts, key ? `key ${key}` : ''].filter((fact) => fact !== '').join(', ');
}

function Place({
  fault,
  onGoTo,
  onMend,
}: {
  fault: Fault;
  onGoTo: (fault: Fault) => void;
  onMend: (mend: Mend) => void;
}) {
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 1 }}>
      <Button
        size="small"
        color={fault.kind === 'unread' ? 'error' : fault.kind === 'unsure' ? 'warning' : 'inherit'}
        sx={{ justifyContent: 'flex-start', textAlign: 'left', pl: 0.5, fontWeight: 500 }}
        onClick={() => onGoTo(fault)}
      >
        {fault.message}
      </Button>
      {fault.mends.map((mend) => (
        <Button key={mend.label} size="small" variant="outlined" onClick={() => onMend(mend)}>
          {mend.label}
        </Button>
      ))}
    </Box>
  );
}
