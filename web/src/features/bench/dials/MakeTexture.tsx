import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, type OwnTexture, type StoredTexture } from '../../../api/client';
import { OWN_TEXTURES, ownTextureWords } from '../../../shared/ownTextures';
import { Problem } from '../../../shared/Problem';
import { useDraftOf } from '../../../shared/useDraft';
import { Pick } from './Pick';

const FAMILIES = [
  'open',
  'form',
  'shell',
  'muted',
  'guide',
  'drop-2',
  'drop-3',
  'triad',
  'tenth',
  'power',
  'dropped',
];
const SETS = ['6543', '5432', '4321', '6432', '5321', '654', '543', '432', '321', '65', '54', '43', '32'];
const VOICES = ['', '2', '3', '4', '5', '6'];
const OPEN: [string, string][] = [
  ['allowed', 'allowed'],
  ['none', 'none'],
  ['bass', 'in the bass alone'],
];
const NEW: OwnTexture = {
  name: '',
  families: [],
  otherwise: [],
  open: 'allowed',
  strings: [],
  voices: null,
  led: false,
};

/** A texture of one's own: families of voicings, strings, open strings, voices. */
export function MakeTexture({
  onKept,
  onLeave,
}: {
  onKept: (stored: StoredTexture) => void;
  onLeave: () => void;
}) {
  const queries = useQueryClient();
  const { value: texture, set: write, forget } = useDraftOf<OwnTexture>('own-texture', NEW);
  const change = (some: Partial<OwnTexture>) => write({ ...texture, ...some });
  const keep = useMutation({
    mutationFn: () => api.addOwnTexture({ ...texture, name: texture.name.trim() }),
    onSuccess: async (stored) => {
      forget();
      await queries.invalidateQueries({ queryKey: OWN_TEXTURES });
      onKept(stored);
    },
  });
  return (
    <Box
      component="form"
      aria-label="A texture of my own"
      sx={{
        display: 'flex',
        flexDirection: 'column',
        gap: 1.5,
        borderTop: 1,
        borderColor: 'divider',
        pt: 1.5,
      }}
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate();
      }}
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'end' }}>
        <TextField
          size="small"
          label="Its name"
          autoFocus
          value={texture.name}
          onChange={(event) => change({ name: event.target.value })}
        />
        <Pick label="Open strings" value={texture.open} options={OPEN} onPick={(open) => change({ open })} />
        <Pick
          label="Voices"
          most={150}
          value={String(texture.voices ?? '')}
          options={VOICES.map((count) => [count, count === '' ? 'as they come' : count])}
          onPick={(count) => change({ voices: count === '' ? null : Number(count) })}
        />
        <ToggleButton
          size="small"
          value="led"
          selected={texture.led === true}
          onChange={() => change({ led: !texture.led })}
        >
          lead the voices
        </ToggleButton>
      </Box>
      <Several
        label="Families"
        options={FAMILIES}
        chosen={texture.families}
        onChoose={(families) => change({ families })}
      />
      <Several
        label="Where a chord has none of them"
        options={FAMILIES.filter((family) => !texture.families.includes(family))}
        chosen={texture.otherwise ?? []}
        onChoose={(otherwise) => change({ otherwise })}
      />
      <Several
        label="Strings, all where none is chosen"
        options={SETS}
        chosen={texture.strings ?? []}
        onChoose={(strings) => change({ strings })}
      />
      {keep.isError && <Problem error={keep.error} />}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        <Button
          type="submit"
          variant="contained"
          disabled={texture.name.trim() === '' || texture.families.length === 0 || keep.isPending}
        >
          Keep it
        </Button>
        <Button
          onClick={() => {
            forget();
            onLeave();
          }}
        >
          Give it up
        </Button>
        <Typography variant="body2" color="text.secondary">
          {texture.families.length > 0 && ownTextureWords(texture)}
        </Typography>
      </Box>
    </Box>
  );
}

function Several({
  label,
  options,
  chosen,
  onChoose,
}: {
  label: string;
  options: string[];
  chosen: string[];
  onChoose: (chosen: string[]) => void;
}) {
  return (
    <Box>
      <Typography variant="body2" color="text.secondary">
        {label}
      </Typography>
      <ToggleButtonGroup
        size="small"
        aria-label={label}
        value={chosen}
        onChange={(_, now: string[]) => onChoose(now)}
        sx={{ flexWrap: 'wrap' }}
      >
        {options.map((option) => (
          <ToggleButton key={option} value={option} sx={{ textTransform: 'none', minHeight: 44 }}>
            {option.replace('-', ' ')}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Box>
  );
}
