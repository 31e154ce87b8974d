import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { Link as To } from 'react-router';
import { api, type MapAt, type NeckMap } from '../../api/client';
import { CapoField } from '../../shared/CapoField';
import { Handed } from '../../shared/Handed';
import { OwnTunings } from '../../shared/OwnTunings';
import { PlayerField } from '../../shared/PlayerField';
import { Problem } from '../../shared/Problem';
import { TuningField } from '../../shared/TuningField';
import { useLast } from '../../shared/useLast';
import { usePageTitle } from '../../shared/usePageTitle';
import { BarreTable } from './BarreTable';
import { MapNeck } from './MapNeck';
import { Forms, TriadRows } from './Shapes';
import { SongChords } from './SongChords';
import { saveSvg } from './svgFile';
import { useMapPlace, type MapChange, type MapPlace } from './useMapPlace';

/** Seconds between the notes of a line that is played. */
const LINE = 0.22;

/** Where the notes of a chord or a scale lie along a neck, and what a hand makes of them. */
export function NeckMapView() {
  usePageTitle('Neck map');
  const [place, change] = useMapPlace();
  const frame = useRef<HTMLDivElement>(null);
  const at: MapAt = {
    chord: place.kind === 'chord' ? place.chord : null,
    root: place.kind === 'scale' ? place.root : null,
    scale: place.kind === 'scale' ? place.scale : null,
    tuning: place.tuning,
    capo: place.capo,
    fret: place.fret,
    playerId: place.playerId,
  };
  const asked = useQuery({
    queryKey: ['map', at],
    queryFn: ({ signal }) => api.neckMap(at, signal),
    placeholderData: keepPreviousData,
    retry: false,
  });
  const map = useLast(asked.data);
  const sound = (pitches: number[]) => {
    // Where no sound can be had, or its code cannot be fetched, the map is seen all the same.
    import('../sound/touch').then(({ touch }) => touch(pitches, LINE)).catch(() => undefined);
  };
  const desk = new URLSearchParams({ tuning: place.tuning, capo: String(place.capo) });
  const save = () => {
    const svg = frame.current?.querySelector('svg');
    if (svg && map) {
      saveSvg(svg, map.name);
    }
  };
  return (
    <Handed playerId={place.playerId}>
      <Box component="main" sx={{ p: { xs: 2, md: 3 }, maxWidth: 1240, '@media print': { p: 0 } }}>
        <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, flexWrap: 'wrap' }}>
          <Typography variant="h1">Neck map</Typography>
          {map && (
            <Typography variant="h2" component="p" data-testid="map-name">
              {map.name}
            </Typography>
          )}
          {map && (
            <Typography color="text.secondary">
              {map.tones.map((tone) => `${tone.degree} ${tone.note}`).join(' · ')}
            </Typography>
          )}
        </Box>
        <Controls place={place} change={change} onPrint={() => window.print()} onSave={save} />
        {asked.isError && <Problem error={asked.error} />}
        {map && (
          <>
            <Box ref={frame}>
              <MapNeck
                map={map}
                capo={place.capo}
                labels={place.labels}
                onSound={(string, fret) => {
                  const open = map.strings[map.strings.length - string]?.midi;
                  sound(open === undefined ? [] : [open + fret]);
                }}
              />
            </Box>
            <HandAt map={map} fret={place.fret} change={change} onPlay={sound} />
            <Roots map={map} />
            <Box sx={{ display: 'grid', gap: 3, mt: 2 }}>
              {place.chords.length > 0 && <SongPart place={place} change={change} />}
              {map.forms.length > 0 && <Forms forms={map.forms} desk={desk} />}
              {map.triads.length > 0 && <TriadRows triads={map.triads} desk={desk} />}
              <BarreTable tuning={place.tuning} capo={place.capo} />
            </Box>
          </>
        )}
      </Box>
    </Handed>
  );
}

function SongPart({ place, change }: { place: MapPlace; change: (to: MapChange) => void }) {
  const [at, setAt] = useState(1);
  return (
    <Box>
      {place.song !== null && (
        <Link
          component={To}
          to={`/songs/${place.song}`}
          className="map-screen"
          sx={{ display: 'inline-block', mb: 1 }}
        >
          Back to the song
        </Link>
      )}
      <SongChords
        place={place}
        at={at}
        onAt={setAt}
        onChord={(chord) => change({ chord, scale: null, root: null, fret: null })}
        onScale={(root, scale) => change({ root, scale, fret: null })}
      />
    </Box>
  );
}

function Controls({
  place,
  change,
  onPrint,
  onSave,
}: {
  place: MapPlace;
  change: (to: MapChange) => void;
  onPrint: () => void;
  onSave: () => void;
}) {
  const scales = useQuery({ queryKey: ['scales'], queryFn: () => api.scales(), staleTime: Infinity });
  return (
    <Box
      className="map-screen"
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center', mt: 1.5, mb: 1 }}
    >
      <ToggleButtonGroup
        exclusive
        size="small"
        value={place.kind}
        aria-label="What is shown"
        onChange={(_, kind: string | null) =>
          kind === 'scale'
            ? change({ scale: place.scale, root: place.root, fret: null })
            : change({ scale: null, root: null, fret: null })
        }
      >
        <Choice value="chord" />
        <Choice value="scale" />
      </ToggleButtonGroup>
      {place.kind === 'chord' ? (
        <WordField
          key={place.chord}
          label="Chord"
          value={place.chord}
          onTake={(chord) => change({ chord, fret: null })}
        />
      ) : (
        <>
          <WordField
            key={place.root}
            label="Root"
            value={place.root}
            onTake={(root) => change({ root, fret: null })}
          />
          <TextField
            select
            size="small"
            label="Scale"
            value={place.scale}
            onChange={(event) => change({ scale: event.target.value, fret: null })}
            slotProps={{ select: { native: true } }}
          >
            {(scales.data ?? [place.scale]).map((scale) => (
              <option key={scale} value={scale}>
                {scale}
              </option>
            ))}
          </TextField>
        </>
      )}
      <TuningField tuning={place.tuning} onTake={(tuning) => change({ tuning, fret: null })} />
      <OwnTunings
        key={`own ${place.tuning}`}
        tuning={place.tuning}
        onTake={(tuning) => change({ tuning, fret: null })}
      />
      <CapoField capo={place.capo} onTake={(capo) => change({ capo, fret: null })} />
      <PlayerField playerId={place.playerId} onTake={(player) => change({ player })} />
      <ToggleButtonGroup
        exclusive
        size="small"
        value={place.labels}
        aria-label="On the dots"
        onChange={(_, labels: string | null) => labels !== null && change({ labels })}
      >
        <Choice value="degrees" />
        <Choice value="notes" />
      </ToggleButtonGroup>
      <Button variant="outlined" onClick={onPrint}>
        Print
      </Button>
      <Button variant="outlined" onClick={onSave}>
        Save as SVG
      </Button>
    </Box>
  );
}

/** A button of a group; the group clones what it is given, so the value stands here. */
function Choice({ value, ...others }: { value: string }) {
  return (
    <ToggleButton value={value} {...others} sx={{ minHeight: 44, px: 1.5, textTransform: 'none' }}>
      {value}
    </ToggleButton>
  );
}

function WordField({
  label,
  value,
  onTake,
}: {
  label: string;
  value: string;
  onTake: (text: string) => void;
}) {
  const [text, setText] = useState(value);
  const take = () => text.trim() !== '' && text.trim() !== value && onTake(text.trim());
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        take();
      }}
    >
      <TextField
        size="small"
        label={label}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onBlur={take}
        sx={{ width: 112 }}
        slotProps={{ htmlInput: { autoCapitalize: 'off', spellCheck: false } }}
      />
    </Box>
  );
}

/** Where the hand may stand; there the notes have fingers. */
function HandAt({
  map,
  fret,
  change,
  onPlay,
}: {
  map: NeckMap;
  fret: number | null;
  change: (to: MapChange) => void;
  onPlay: (pitches: number[]) => void;
}) {
  return (
    <Box
      className="map-screen"
      role="group"
      aria-label="Hand at"
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', mt: 1 }}
    >
      <Typography>Hand at</Typography>
      {map.positions.map((position) => (
        <Button
          key={position.label}
          variant={fret === position.fret ? 'contained' : 'outlined'}
          aria-pressed={fret === position.fret}
          onClick={() => change({ fret: fret === position.fret ? null : position.fret })}
          sx={{ textTransform: 'none', minHeight: 44 }}
        >
          {position.label}
        </Button>
      ))}
      {map.line.length > 0 && (
        <Button onClick={() => onPlay(map.line.map((stop) => stop.midi))} sx={{ minHeight: 44 }}>
          Play it
        </Button>
      )}
      {map.line.length > 0 && <Reach line={map.line} />}
    </Box>
  );
}

function Reach({ line }: { line: NeckMap['line'] }) {
  const frets = line.map((stop) => stop.fret);
  const low = line[0]?.midi ?? 0;
  const high = line[line.length - 1]?.midi ?? 0;
  return (
    <Typography color="text.secondary" data-testid="map-reach">
      {line.length} notes, frets {Math.min(...frets)} to {Math.max(...frets)}, {Math.floor((high - low) / 12)}{' '}
      whole octaves
    </Typography>
  );
}

/** The roots in words. */
function Roots({ map }: { map: NeckMap }) {
  const strings = map.strings.map((_, i) => map.strings.length - i);
  const words = strings.flatMap((string) => {
    const frets = map.dots.filter((d) => d.root && d.string === string && d.fret <= 15).map((d) => d.fret);
    return frets.length === 0 ? [] : [`string ${string} at ${frets.join(' and ')}`];
  });
  return (
    <Typography sx={{ mt: 1 }} data-testid="map-roots">
      Roots: {words.join(', ')}
    </Typography>
  );
}
