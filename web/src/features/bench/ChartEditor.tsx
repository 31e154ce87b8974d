import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';
import type { Fault } from '../../api/client';
import { ChartText } from '../../shared/ChartText';

/** The chart as text, with what was not understood beside it. */
export function ChartEditor({
  source,
  faults,
  onClose,
  onWrite,
}: {
  source: string;
  faults: Fault[];
  onClose: () => void;
  onWrite: (source: string) => void;
}) {
  const [text, setText] = useState(source);
  const area = useRef<HTMLTextAreaElement>(null);
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="chart-editor-title">
      <Box sx={{ p: 2.5, display: 'flex', flexDirection: 'column', gap: 1.5 }}>
        <Typography id="chart-editor-title" variant="h2">
          The chart
        </Typography>
        <ChartText
          ref={area}
          rows={18}
          value={text}
          aria-label="Text of the chart"
          spellCheck={false}
          onChange={(event) => setText(event.target.value)}
        />
        {faults.map((fault) => (
          <Button
            key={`${fault.line}:${fault.column}`}
            color="error"
            sx={{ justifyContent: 'flex-start', textAlign: 'left' }}
            onClick={() => goTo(area.current, fault)}
          >
            {fault.message}
          </Button>
        ))}
        <Box sx={{ display: 'flex', gap: 1 }}>
          <Button variant="contained" disabled={text.trim() === ''} onClick={() => onWrite(text)}>
            Use this text
          </Button>
          <Button onClick={onClose}>Leave it as it was</Button>
        </Box>
      </Box>
    </Dialog>
  );
}

/** Puts the caret on a fault. */
function goTo(area: HTMLTextAreaElement | null, fault: Fault) {
  if (!area) {
    return;
  }
  const lines = area.value.split('\n');
  const at =
    lines.slice(0, fault.line - 1).reduce((sum, line) => sum + line.length + 1, 0) + fault.column - 1;
  area.focus();
  area.setSelectionRange(at, at + fault.input.length);
}
