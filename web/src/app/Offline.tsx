import Alert from '@mui/material/Alert';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { useConnected } from '../api/connection';

/** Said above every view while the application does not answer; reads again when it does. */
export function Offline() {
  const connected = useConnected();
  const queries = useQueryClient();
  const before = useRef(connected);
  useEffect(() => {
    if (connected && !before.current) {
      void queries.invalidateQueries();
    }
    before.current = connected;
  }, [connected, queries]);
  return connected ? null : (
    <Alert severity="warning" square sx={{ position: 'sticky', top: 0, zIndex: 2 }} data-testid="offline">
      Underhand does not answer. Start it again; what you see and decide here is kept, and is saved as soon as
      it answers.
    </Alert>
  );
}
