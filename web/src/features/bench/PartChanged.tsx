import Alert from '@mui/material/Alert';
import Link from '@mui/material/Link';
import { useEffect, useState } from 'react';
import { Link as RouterLink } from 'react-router';
import { api, type PartChange } from '../../api/client';

/** The part on the screen comes first. */
const LOOK_AFTER_MS = 2500;

/** Says once that this song is planned otherwise than when it was last looked at. */
export function PartChanged({ id, version }: { id: number; version: number | undefined }) {
  const [change, setChange] = useState<PartChange | null>(null);
  useEffect(() => {
    if (version === undefined) {
      return;
    }
    const timer = setTimeout(() => {
      api.look(id).then(
        (look) => setChange((said) => look.change ?? said),
        // Whoever cannot be asked now is asked at the next look.
        () => undefined,
      );
    }, LOOK_AFTER_MS);
    return () => clearTimeout(timer);
  }, [id, version]);
  if (!change) {
    return null;
  }
  return (
    <Alert severity="info" variant="outlined" onClose={() => setChange(null)} data-testid="part-changed">
      {said(change)} Versions you kept stay as they were:{' '}
      <Link component={RouterLink} to={`/songs/${id}/versions`} color="inherit">
        Versions
      </Link>
      .
    </Alert>
  );
}

function said({ capoBefore, capo, grips, places }: PartChange): string {
  const moved = capo === capoBefore ? '' : ` The capo is ${position(capo)}, it was ${position(capoBefore)}.`;
  const other = grips === 0 ? '' : ` ${grips} of ${places} grips are other ones.`;
  return `Underhand is newer than when you last looked at this song, and plans it otherwise.${moved}${other}`;
}

function position(capo: number): string {
  return capo === 0 ? 'off' : `at fret ${capo}`;
}
