import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useState } from 'react';
import type { Arrangement, Decisions, Lock, PreviewBody } from '../../api/client';
import { PatternDialog } from '../patterns/PatternDialog';

/** What the right hands play: the first guitar's and, where there is one, the second's. */
export function RightHandDialog({
  body,
  first,
  second,
  decisions,
  place,
  onDecide,
  onLock,
  onClose,
}: {
  body: PreviewBody;
  first: Arrangement;
  /** What a second guitar plays, where there is one. */
  second: Arrangement | undefined;
  decisions: Decisions;
  /** Place of the first guitar that is looked at. */
  place: number | null;
  onDecide: (change: Partial<Decisions>) => void;
  onLock: (lock: Lock) => void;
  onClose: () => void;
}) {
  const [beside, setBeside] = useState(false);
  const section = place === null ? null : (first.placements[place]?.section ?? null);
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
        song={body}
        second
        whose={whose}
        arrangement={second}
        choices={guitar.patterns ?? decisions.patterns}
        firstSection={section}
        onChoose={(patterns) => onDecide({ second: { ...guitar, patterns } })}
        onClose={onClose}
      />
    );
  }
  return (
    <PatternDialog
      song={body}
      whose={whose}
      arrangement={first}
      choices={decisions.patterns}
      firstSection={section}
      onChoose={(patterns) => onDecide({ patterns })}
      onTakeGrip={(index, frets) => {
        const at = first.placements[index];
        if (at) {
          onLock({ placement: at.placement, part: at.part, frets });
        }
      }}
      onClose={onClose}
    />
  );
}
