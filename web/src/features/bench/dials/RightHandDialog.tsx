import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useState } from 'react';
import type { Arrangement } from '../../../api/client';
import { useArranged, usePlacement, useWork } from '../state/BenchWork';
import { PatternDialog } from '../../patterns/PatternDialog';

/** What the right hands play: the first guitar's and, where there is one, the second's. */
export function RightHandDialog({
  second,
  onClose,
}: {
  /** What a second guitar plays, where there is one. */
  second: Arrangement | undefined;
  onClose: () => void;
}) {
  const { body = {}, decisions, decide, dispatch } = useWork();
  const first = useArranged();
  const placement = usePlacement();
  const [beside, setBeside] = useState(false);
  const section = placement?.section ?? null;
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
        onChoose={(patterns) => decide({ second: { ...guitar, patterns } })}
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
      onChoose={(patterns) => decide({ patterns })}
      onTakeGrip={(index, frets) => {
        const at = first.placements[index];
        if (at) {
          dispatch({
            type: 'lock',
            locks: [{ placement: at.placement, part: at.part, frets }],
            capo: first.capo.chosen,
          });
        }
      }}
      onClose={onClose}
    />
  );
}
