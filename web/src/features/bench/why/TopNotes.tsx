import Box from '@mui/material/Box';
import NativeSelect from '@mui/material/NativeSelect';
import Typography from '@mui/material/Typography';
import type { Decisions, Moment, Placement } from '../../../api/client';
import { useArranged, useWork } from '../state/BenchWork';
import { noteOnString, struckIn, withString } from './topNotes';
import { TOUCHED } from '../../../theme/theme';

/** The tune over a chord: what each note is in it, where it is played, and another string for it. */
export function TopNotes({ placement }: { placement: Placement }) {
  const { decisions, decide } = useWork();
  const arrangement = useArranged();
  const notes = struckIn(arrangement, placement.index);
  if (decisions.solo === null || notes.length === 0) {
    return null;
  }
  return (
    <Box>
      <Typography variant="h3" component="h3" color="text.secondary">
        Tune on top
      </Typography>
      <Box component="ul" aria-label="Notes of the tune" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {notes.map((moment) => (
          <TopNote
            key={moment.beat}
            moment={moment}
            strings={moment.frets.length}
            solo={decisions.solo}
            onString={(string) =>
              decisions.solo &&
              decide({ solo: withString(decisions.solo, { bar: moment.bar, beat: moment.beat }, string) })
            }
          />
        ))}
      </Box>
    </Box>
  );
}

function TopNote({
  moment,
  strings,
  solo,
  onString,
}: {
  moment: Moment;
  strings: number;
  solo: Decisions['solo'];
  onString: (string: number | null) => void;
}) {
  const { top } = moment;
  if (!top) {
    return null;
  }
  const wanted = noteOnString(solo, moment);
  const finger = moment.fingers[strings - top.string];
  const label = `String for ${top.note} on beat ${moment.beat}`;
  return (
    <Box component="li" sx={{ display: 'flex', alignItems: 'center', gap: 1, minHeight: 36 }}>
      <Typography sx={{ fontWeight: 700, width: 42 }}>{top.note}</Typography>
      <Typography variant="body2" sx={{ flex: 1 }}>
        {top.words === '' ? 'alone' : top.words}, beat {moment.beat}, fret {top.fret}
        {finger ? `, finger ${finger}` : ''}
      </Typography>
      <NativeSelect
        value={wanted === null ? '' : String(wanted)}
        disableUnderline
        inputProps={{ 'aria-label': label }}
        onChange={(event) => onString(event.target.value === '' ? null : Number(event.target.value))}
        sx={{ fontWeight: 700, ...TOUCHED }}
      >
        <option value="">string {top.string}</option>
        {Array.from({ length: strings }, (_, i) => i + 1).map((string) => (
          <option key={string} value={string}>
            keep on {string}
          </option>
        ))}
      </NativeSelect>
    </Box>
  );
}
