import Alert from '@mui/material/Alert';
import AlertTitle from '@mui/material/AlertTitle';
import Button from '@mui/material/Button';
import { ProblemError } from '../api/client';

/** An error in words, with a way on. */
export function Problem({ error, onRetry }: { error: unknown; onRetry?: () => void }) {
  const known = error instanceof ProblemError;
  return (
    <Alert
      severity="error"
      variant="outlined"
      action={
        onRetry && (
          <Button color="inherit" onClick={onRetry}>
            Try again
          </Button>
        )
      }
    >
      <AlertTitle>{known ? error.title : 'Something went wrong'}</AlertTitle>
      {error instanceof Error ? error.message : String(error)}
    </Alert>
  );
}
