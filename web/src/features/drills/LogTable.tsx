import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api } from '../../api/client';
import { drillKeys } from '../../api/queryKeys';
import { Problem } from '../../shared/Problem';

/** The log out as a table, and a table in. */
export function LogTable({ playerId }: { playerId: number | null }) {
  const queries = useQueryClient();
  const take = useMutation({
    mutationFn: async (file: File) => api.takeDrillLog(playerId, await file.text()),
    onSuccess: () => queries.invalidateQueries({ queryKey: drillKeys.all }),
  });
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', mt: 1 }}>
      <Button
        component="a"
        href={`/api/v1/drills/log.csv${playerId === null ? '' : `?playerId=${playerId}`}`}
        download="drill-log.csv"
      >
        Save the log as CSV
      </Button>
      <Button component="label" disabled={take.isPending}>
        Add runs from a CSV
        <input
          type="file"
          accept=".csv,text/csv"
          hidden
          data-testid="log-file"
          onChange={(event) => {
            const file = event.target.files?.[0];
            event.target.value = '';
            if (file) {
              take.mutate(file);
            }
          }}
        />
      </Button>
      {take.isSuccess && (
        <Typography role="status">
          {take.data.added} runs added{take.data.known > 0 ? `, ${take.data.known} were there before` : ''}.
        </Typography>
      )}
      {take.isError && <Problem error={take.error} />}
    </Box>
  );
}
