import DarkModeOutlined from '@mui/icons-material/DarkModeOutlined';
import LightModeOutlined from '@mui/icons-material/LightModeOutlined';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import { styled, useColorScheme } from '@mui/material/styles';
import { useRef } from 'react';
import { NavLink, Outlet, useMatch } from 'react-router';
import { Offline } from './Offline';
import { useGoKeys } from './useGoKeys';
import { useRefusedDrops } from './useRefusedDrops';
import { useScrollMemory } from './useScrollMemory';

const Place = styled(NavLink)(({ theme }) => ({
  display: 'grid',
  placeItems: 'center',
  minHeight: 52,
  minWidth: 64,
  padding: '0 4px',
  borderRadius: 8,
  color: theme.vars?.palette.text.primary,
  textDecoration: 'none',
  fontSize: '0.9rem',
  [theme.breakpoints.down('sm')]: { minWidth: 44, padding: '0 3px', fontSize: '0.84rem' },
  '&.active': {
    background: theme.vars?.palette.primary.main,
    color: theme.vars?.palette.primary.contrastText,
    fontWeight: 700,
  },
}));

/** The rail of views, at the left or at the foot of a narrow screen, beside the view itself. */
export function Shell() {
  const song = useMatch('/songs/:id/*');
  const base = song ? `/songs/${song.params.id}` : null;
  useGoKeys(base);
  const scroller = useRef<HTMLDivElement>(null);
  useScrollMemory(scroller);
  useRefusedDrops();
  return (
    <Box
      sx={{
        display: 'flex',
        flexDirection: { xs: 'column-reverse', md: 'row' },
        height: '100dvh',
        '@media print': { display: 'block', height: 'auto' },
      }}
    >
      <Box
        component="nav"
        aria-label="Views"
        sx={{
          display: 'flex',
          flexDirection: { xs: 'row', md: 'column' },
          alignItems: 'center',
          justifyContent: { xs: 'space-between', sm: 'flex-start' },
          gap: { xs: 0.25, sm: 1 },
          p: 0.75,
          flex: 'none',
          width: { md: 76 },
          bgcolor: 'draw.panel',
          '@media print': { display: 'none' },
        }}
      >
        <Place to="/" end>
          Songs
        </Place>
        {base && (
          <>
            <Place to={base} end>
              Bench
            </Place>
            <Place to={`${base}/sheet`}>Sheet</Place>
            <Place to={`${base}/rungs`}>Rungs</Place>
            <Place to={`${base}/versions`}>Versions</Place>
          </>
        )}
        {/* On a narrow screen the views of a song need all the room; the others are one step away, from the songs. */}
        <Box sx={{ display: { xs: base ? 'none' : 'block', sm: 'block' } }}>
          <Place to="/shapes">Shapes</Place>
        </Box>
        <Box sx={{ display: { xs: base ? 'none' : 'block', sm: 'block' } }}>
          <Place to="/map">Map</Place>
        </Box>
        <Box sx={{ display: { xs: base ? 'none' : 'block', sm: 'block' } }}>
          <Place to="/drills">Drills</Place>
        </Box>
        <Place to="/players">Players</Place>
        <Box sx={{ display: { xs: base ? 'none' : 'block', sm: 'block' } }}>
          <Place to="/book">Book</Place>
        </Box>
        <Box sx={{ flex: 1, display: { xs: 'none', sm: 'block' } }} />
        <ThemeSwitch />
      </Box>
      <Box
        ref={scroller}
        data-scroller
        sx={{ flex: 1, minWidth: 0, minHeight: 0, overflow: 'auto', '@media print': { overflow: 'visible' } }}
      >
        <Offline />
        <Outlet />
      </Box>
    </Box>
  );
}

function ThemeSwitch() {
  const { mode, systemMode, setMode } = useColorScheme();
  const dark = (mode === 'system' ? systemMode : mode) === 'dark';
  return (
    <IconButton
      aria-label={dark ? 'Light theme' : 'Dark theme'}
      onClick={() => setMode(dark ? 'light' : 'dark')}
      sx={{ width: 44, height: 44, color: 'text.primary' }}
    >
      {dark ? <LightModeOutlined /> : <DarkModeOutlined />}
    </IconButton>
  );
}
