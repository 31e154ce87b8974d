import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import { useKey } from '../../shared/useKey';
import { midiPedals, type PedalAct } from './pedals';

/** A foot pedal: on the screen, on the keyboard, or a real one over Web MIDI. */
export function Pedal({ onAct }: { onAct: (act: PedalAct) => void }) {
  const [midi, setMidi] = useState<'off' | 'on' | 'none'>('off');
  const act = useRef(onAct);
  useEffect(() => {
    act.current = onAct;
  }, [onAct]);
  useKey('pageOn', () => onAct('forward'));
  useKey('pageBack', () => onAct('back'));
  useKey('loopSheet', () => onAct('loop'));
  useEffect(() => {
    if (midi !== 'on') {
      return;
    }
    let close = () => {};
    let gone = false;
    midiPedals((meant) => act.current(meant)).then(
      (stop) => (gone ? stop() : (close = stop)),
      () => setMidi('none'),
    );
    return () => {
      gone = true;
      close();
    };
  }, [midi]);
  return (
    <Box
      role="group"
      aria-label="Foot pedal"
      sx={{
        position: 'sticky',
        bottom: 0,
        display: 'flex',
        gap: 1,
        alignItems: 'center',
        flexWrap: 'wrap',
        py: 1,
        bgcolor: 'background.default',
        '@media print': { display: 'none' },
      }}
    >
      <Button variant="outlined" sx={{ minHeight: 52, flex: 1 }} onClick={() => onAct('back')}>
        Page back
      </Button>
      <Button variant="outlined" sx={{ minHeight: 52, flex: 1 }} onClick={() => onAct('loop')}>
        Loop this section
      </Button>
      <Button variant="outlined" sx={{ minHeight: 52, flex: 1 }} onClick={() => onAct('forward')}>
        Page on
      </Button>
      {midi === 'off' && 'requestMIDIAccess' in navigator && (
        <Button onClick={() => setMidi('on')}>Use a MIDI pedal</Button>
      )}
      {midi === 'on' && <Typography variant="caption">MIDI pedal listened to</Typography>}
      {midi === 'none' && <Typography variant="caption">No MIDI pedal can be reached</Typography>}
    </Box>
  );
}
