import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { api, type FileOrder } from '../../api/client';

const FORMATS = [
  ['pdf', 'PDF of this sheet'],
  ['musicxml', 'MusicXML'],
  ['mxl', 'MusicXML, compressed'],
  ['midi', 'MIDI'],
  ['tab', 'Tab as plain text'],
  ['chart', 'Chart text'],
  ['road', 'Hand road as SVG'],
  ['grips', 'Grips as SVG, in a ZIP'],
  ['all', 'Everything in one ZIP'],
] as const;

/** Files of the song to take away. */
export function FilesMenu({
  order,
  onError,
}: {
  order: Omit<FileOrder, 'format'> | undefined;
  onError: (error: unknown) => void;
}) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [busy, setBusy] = useState(false);
  const take = async (format: string) => {
    setAnchor(null);
    if (!order) {
      return;
    }
    setBusy(true);
    try {
      const file = await api.file({ ...order, format });
      const link = document.createElement('a');
      link.href = URL.createObjectURL(file.blob);
      link.download = file.name;
      link.click();
      setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
      onError(null);
    } catch (error) {
      onError(error);
    } finally {
      setBusy(false);
    }
  };
  return (
    <>
      <Button
        variant="outlined"
        disabled={!order || busy}
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        {busy ? 'Writing it' : 'Files'}
      </Button>
      <Menu open={anchor !== null} anchorEl={anchor} onClose={() => setAnchor(null)}>
        {FORMATS.map(([format, words]) => (
          <MenuItem
            key={format}
            data-format={format}
            onClick={() => void take(format)}
            sx={{ minHeight: 44 }}
          >
            {words}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
