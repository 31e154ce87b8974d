import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useState } from 'react';
import type { Arrangement, Decisions, Lock, PreviewBody } from '../../api/client';
import { PatternDialog } from '../patterns/PatternDialog';

/** A guitar of the song: what was asked for, and what came of it. */
interface Guitar {
  body: PreviewBody;
  arrangement: Arrangement;
}

/** What the right hands play: the first guitar's and, where there is one, the second's. */
export function RightHandDialog({
  first,
  second,
  decisions,
  place,
  onDecide,
  onLock,
  onClose,
}: {
  first: Guitar;
  second: Guitar | undefined;
  decisions: Decisions;
  /** Place of the first guitar that is looked at. */
  place: number | null;
  onDecide: (change: Partial<Decisions>) => void;
  onLock: (lock: Lock) => void;
  onClose: () => void;
}) {
  const [beside, setBeside] = useState(false);
  const section = place === null ? null : (first.arrangement.placements[place]?.section ?? null);
  const whose = second && (
    <ToggleButtonGroup
      exclusive
      size="small"
      value={beside}
      aria-label="Whose hand"
      sx={{ alignSelf: 'start' }}
      onChange={(_, value: boolean | null) => value !== null && setBeside(value)}
    >
      <ToggleButton value={false}>First guitar</ToggleButton>
      <ToggleButton value={true}>Second guitar</ToggleButton>
    </ToggleButtonGroup>
  );
  const guitar = decisions.second;
  if (beside && second && guitar) {
    return (
      <PatternDialog
        song={first.body}
        second={second.body}
        whose={whose}
        arrangement={second.arrangement}
        choices={guitar.patterns ?? decisions.patterns}
        firstSection={section}
        onChoose={(patterns) => onDecide({ second: { ...guitar, patterns } })}
        onClose={onClose}
      />
    );
  }
  return (
    <PatternDialog
      song={first.body}
      whose={whose}
      arrangement={first.arrangement}
      choices={decisions.patterns}
      firstSection={section}
      onChoose={(patterns) => onDecide({ patterns })}
      onTakeGrip={(index, frets) => {
        const at = first.arrangement.placements[index];
        if (at) {
          onLock({ placement: at.placement, part: at.part, frets });
        }
      }}
      onClose={onClose}
    />
  );
}
