import RedoIcon from '@mui/icons-material/Redo';
import UndoIcon from '@mui/icons-material/Undo';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import { memo } from 'react';
import type { BenchDispatch } from '../state/useBench';

/** Narrow, so that all of them stand beside a title where scroll bars take room. */
const TOOL = { px: 0.5, minWidth: 44 } as const;

/** What can be opened from the head of the bench, and the way back. */
export const BenchTools = memo(function BenchTools({
  ready,
  canUndo,
  canRedo,
  onHelp,
  onKey,
  onTuning,
  onEdit,
  onTune,
  dispatch,
}: {
  /** Whether there is an arrangement. */
  ready: boolean;
  canUndo: boolean;
  canRedo: boolean;
  onHelp: () => void;
  onKey: () => void;
  onTuning: () => void;
  onEdit: () => void;
  onTune: () => void;
  dispatch: BenchDispatch;
}) {
  return (
    <>
      <Button onClick={onHelp} sx={{ ...TOOL, display: { xs: 'none', sm: 'inline-flex' } }}>
        ? keys
      </Button>
      <Button disabled={!ready} onClick={onKey} sx={TOOL}>
        Another key
      </Button>
      <Button disabled={!ready} onClick={onTuning} sx={TOOL}>
        Another tuning
      </Button>
      <Button disabled={!ready} onClick={onEdit} sx={TOOL}>
        Edit the chart
      </Button>
      <Button disabled={!ready} onClick={onTune} sx={TOOL}>
        Write the tune
      </Button>
      {/* The way back and forth stays together where the line is too short. */}
      <Box sx={{ flex: 'none' }}>
        <IconButton
          aria-label="Undo"
          disabled={!canUndo}
          onClick={() => dispatch({ type: 'undo' })}
          sx={{ width: 44, height: 44 }}
        >
          <UndoIcon />
        </IconButton>
        <IconButton
          aria-label="Redo"
          disabled={!canRedo}
          onClick={() => dispatch({ type: 'redo' })}
          sx={{ width: 44, height: 44 }}
        >
          <RedoIcon />
        </IconButton>
      </Box>
    </>
  );
});
