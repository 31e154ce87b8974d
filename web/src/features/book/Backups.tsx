import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Problem } from '../../shared/Problem';
import { RestoreDialog } from './RestoreDialog';
import { restoreLines, sizeWords } from './restoreWords';
import { useKeptBackups, useRestore, useUndoRestore } from './useBook';

const when = (time: string) =>
  new Date(time).toLocaleString(undefined, {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  });

/** The whole book as a file: saved, put back, and what is kept of it by itself. */
export function Backups() {
  const kept = useKeptBackups();
  const restore = useRestore();
  const undo = useUndoRestore();
  const [chosen, setChosen] = useState<{ name: string; from: Blob | string } | null>(null);
  const done = restore.data && !undo.isSuccess ? restore.data : null;

  return (
    <Box component="section" aria-label="Backup">
      <Typography variant="h2">Backup</Typography>
      <Typography sx={{ mt: 1, maxWidth: '60ch' }}>
        One ZIP holds everything: charts as plain text, the rest as JSON. It can be put back here or into
        another book. Keep one somewhere else than on this machine.
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1.5 }}>
        <Button variant="contained" href="/api/v1/backup" download>
          Save a backup
        </Button>
        <Button component="label" variant="outlined">
          Put a backup back
          <input
            type="file"
            accept=".zip,application/zip"
            hidden
            aria-label="Backup file"
            onChange={(event) => {
              const file = event.target.files?.[0];
              event.target.value = '';
              if (file) {
                setChosen({ name: file.name, from: file });
              }
            }}
          />
        </Button>
      </Box>
      {done && (
        <Alert
          severity="success"
          variant="outlined"
          sx={{ mt: 2 }}
          action={
            done.undo && (
              <Button color="inherit" onClick={() => undo.mutate(undefined)}>
                Undo
              </Button>
            )
          }
        >
          The backup was put back. {restoreLines(done).join(' ') || 'Nothing had to change.'}
        </Alert>
      )}
      {undo.isSuccess && (
        <Alert severity="success" variant="outlined" sx={{ mt: 2 }}>
          The book is as it was before the backup was put back.
        </Alert>
      )}
      {restore.isError && <Problem error={restore.error} />}
      {undo.isError && <Problem error={undo.error} />}
      <Typography variant="h3" sx={{ mt: 3 }}>
        Made by itself
      </Typography>
      <Typography variant="body2" color="text.secondary" sx={{ maxWidth: '60ch' }}>
        The last seven days, in the directory of the book.
      </Typography>
      {kept.isError && <Problem error={kept.error} onRetry={() => void kept.refetch()} />}
      {kept.data?.length === 0 && <Typography sx={{ mt: 1 }}>None yet.</Typography>}
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {kept.data?.map((backup) => (
          <Box
            component="li"
            key={backup.name}
            sx={{ display: 'flex', alignItems: 'center', borderBottom: 1, borderColor: 'divider', py: 0.5 }}
          >
            <Typography sx={{ flex: 1 }}>
              {when(backup.made)} · {sizeWords(backup.bytes)}
            </Typography>
            <Button
              aria-label={`Put back the backup of ${when(backup.made)}`}
              onClick={() => setChosen({ name: when(backup.made), from: backup.name })}
            >
              Put back
            </Button>
          </Box>
        ))}
      </Box>
      {chosen && (
        <RestoreDialog
          name={chosen.name}
          from={chosen.from}
          onCancel={() => setChosen(null)}
          onRestore={(mode) => {
            undo.reset();
            restore.mutate({ from: chosen.from, mode });
            setChosen(null);
          }}
        />
      )}
    </Box>
  );
}
