import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState, type ReactNode } from 'react';
import { Link as To, useLocation } from 'react-router';
import { api, type DeskAt } from '../../api/client';
import { CapoField } from '../../shared/CapoField';
import { GripFrame } from '../../shared/GripFrame';
import { Handed } from '../../shared/Handed';
import { chordMap } from '../../shared/mapLink';
import { OwnTunings } from '../../shared/OwnTunings';
import { MyShape } from '../../shared/MyShape';
import { PlayerField } from '../../shared/PlayerField';
import { Problem } from '../../shared/Problem';
import { TuningField } from '../../shared/TuningField';
import { stringsOf } from '../../shared/tunings';
import { usePageTitle } from '../../shared/usePageTitle';
import { MONO } from '../../theme/theme';
import { Compare } from './Compare';
import { DeskNeck } from './DeskNeck';
import { Elsewhere } from './Elsewhere';
import { Kinds } from './Kinds';
import { Names } from './Names';
import { Near } from './Near';
import { PutOnSong } from './PutOnSong';
import { Ways } from './Ways';
import { readShape, shapeText, type Frets } from '../../shared/neck';
import { useDeskPlace, type DeskState } from './useDeskPlace';

/** Fingerings that are shown. */
const SHOWN_GRIPS = 4;

/** A guitar in the hand and no chart: what a shape is, what is near it, and where else it lies. */
export function ShapesView() {
  const location = useLocation();
  const desk = (location.state as Partial<DeskState> | null)?.desk ?? location.key;
  return <Desk key={desk} name={desk} />;
}

/** The shape is the desk's own, the address follows it: keys come faster than addresses change. */
function Desk({ name: deskName }: { name: string }) {
  usePageTitle('Shape desk');
  const [address, changeAddress] = useDeskPlace(deskName);
  const [frets, setFrets] = useState(address.frets);
  const place = { ...address, frets };
  const change = (to: Parameters<typeof changeAddress>[0]) => {
    if (to.frets) {
      setFrets(to.frets);
    }
    changeAddress(to);
  };
  const shape = shapeText(place.frets);
  const at: DeskAt = { frets: shape, tuning: place.tuning, capo: place.capo, playerId: place.playerId };
  const look = useQuery({
    queryKey: ['desk', at],
    queryFn: ({ signal }) => api.desk(at, signal),
    placeholderData: keepPreviousData,
    retry: false,
  });
  const [chosen, choose] = useState(0);
  const desk = look.data;
  const name = desk?.names[chosen] ?? desk?.names[0];
  const take = (text: string) => {
    const frets = readShape(text, place.frets.length);
    if (frets) {
      choose(0);
      change({ frets });
      sound(frets, 0.03);
    }
  };
  const retune = (tuning: string) =>
    change({
      tuning,
      aside: null,
      frets: Array.from({ length: stringsOf(tuning) }, () => 0 as number | null),
    });
  const sound = (frets: Frets, apart: number) => {
    const pitches = frets.flatMap((fret, s) => {
      const open = desk?.strings[s]?.midi;
      return fret === null || open === undefined ? [] : [open + fret];
    });
    // Where no sound can be had, or its code cannot be fetched, the shape is seen all the same.
    import('../sound/touch').then(({ touch }) => touch(pitches, apart)).catch(() => undefined);
  };
  const putDown = (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center', mt: 1.5, mb: 1 }}>
      <ShapeField shape={shape} strings={place.frets.length} onTake={take} />
      <TuningField key={place.tuning} tuning={place.tuning} onTake={retune} />
      <OwnTunings key={`own ${place.tuning}`} tuning={place.tuning} onTake={retune} />
      <CapoField capo={place.capo} onTake={(capo) => change({ capo })} />
      <PlayerField playerId={place.playerId} onTake={(playerId) => change({ playerId })} />
      <Button variant="outlined" onClick={() => sound(place.frets, 0.03)}>
        Strum
      </Button>
      <Button variant="outlined" onClick={() => sound(place.frets, 0.28)}>
        Pick
      </Button>
      <Button onClick={() => change({ frets: place.frets.map(() => 0) })}>All open</Button>
      <Button onClick={() => change({ aside: shape })}>Put aside</Button>
    </Box>
  );
  const told = desk && (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '1fr 1fr', lg: '1fr 1fr 1fr' },
        gap: 3,
        mt: 2,
      }}
    >
      <Panel title="Names">
        <Names desk={desk} chosen={chosen} onChoose={choose} />
        {name && (
          <Link component={To} to={chordMap(name.symbol, place.tuning, place.capo)}>
            {name.symbol} on the neck map
          </Link>
        )}
      </Panel>
      <Panel title="One finger away">
        <Near at={at} tonality={place.key} onKey={(key) => change({ key })} onTake={take} />
      </Panel>
      <Box sx={{ display: 'flex', flexDirection: 'column', gap: 3 }}>
        <Panel title="Fingers">
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5 }}>
            {desk.grips.slice(0, SHOWN_GRIPS).map((grip) => (
              <Box key={grip.fingers.join()} sx={{ textAlign: 'center' }}>
                <GripFrame grip={grip} />
                <Typography variant="caption" component="div">
                  effort {grip.effort.total.toFixed(1)}, {Math.round(grip.spanMm)} mm
                </Typography>
              </Box>
            ))}
          </Box>
          {desk.grips.length === 0 && desk.names.length > 0 && (
            <Typography>No hand of this size holds it.</Typography>
          )}
          {desk.grips.length > 0 && <Care grip={desk.grips[0]} />}
          {place.playerId !== null && <MyShape shape={shape} playerId={place.playerId} />}
        </Panel>
        <Panel title="On the way to">
          <Ways at={at} onTake={take} />
        </Panel>
      </Box>
      <Box sx={{ gridColumn: '1 / -1' }}>
        <Elsewhere desk={desk} onTake={take} />
        {name && <Kinds chord={name.symbol} at={at} onTake={take} />}
      </Box>
    </Box>
  );
  // The finger is on the neck first; what is said of the shape follows, and a further finger does not wait for it.
  const [controls, said] = useDeferredValue([putDown, told]);
  return (
    <Handed playerId={place.playerId}>
      <Box component="main" sx={{ p: { xs: 2, md: 3 }, maxWidth: 1240 }}>
        <Typography variant="h1">Shape desk</Typography>
        {controls}
        {look.isError && <Problem error={look.error} />}
        <DeskNeck
          frets={place.frets}
          names={desk?.strings.map((s) => s.note) ?? []}
          labels={name?.degrees ?? place.frets.map(() => '')}
          capo={place.capo}
          onChange={(frets) => {
            choose(0);
            change({ frets });
          }}
          onSound={(string, fret) =>
            sound(
              place.frets.map((_, s) => (s === string ? fret : null)),
              0,
            )
          }
        />
        {place.aside !== null && (
          <Compare
            at={at}
            aside={place.aside}
            onSwap={() => {
              const other = readShape(place.aside ?? '', place.frets.length);
              choose(0);
              change({ aside: shape, ...(other && { frets: other }) });
            }}
            onClose={() => change({ aside: null })}
          />
        )}
        {place.from && <PutOnSong from={place.from} shape={shape} capo={place.capo} />}
        {said}
      </Box>
    </Handed>
  );
}

function Panel({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box component="section" aria-label={title}>
      <Typography variant="h3" component="h2" sx={{ mb: 0.75 }}>
        {title}
      </Typography>
      {children}
    </Box>
  );
}

/** The usual caution, where a grip is wide. */
function Care({ grip }: { grip: { effort: { terms: { name: string; value: number }[] } } | undefined }) {
  const spread = grip?.effort.terms.find((term) => term.name === 'spread')?.value ?? 0;
  return spread <= 1 ? null : (
    <Typography variant="body2" sx={{ mt: 1 }}>
      This stretches the hand wide. Warm up, press lightly, play short runs with rests. Stop at pain, tingling
      or numbness and see a qualified health professional or your teacher.
    </Typography>
  );
}

/** A shape as text: taken with Enter, or when the field is left. */
function ShapeField({
  shape,
  strings,
  onTake,
}: {
  shape: string;
  strings: number;
  onTake: (shape: string) => void;
}) {
  const [typed, type] = useState<string | null>(null);
  const isShape = typed === null || readShape(typed, strings) !== null;
  const take = () => {
    if (typed !== null && isShape) {
      type(null);
      onTake(typed);
    }
  };
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
        label="Shape"
        value={typed ?? shape}
        error={!isShape}
        sx={{ width: 190 }}
        helperText={isShape ? undefined : `a fret or x for each of ${strings} strings, such as x-7-6-8-x-x`}
        onChange={(event) => type(event.target.value)}
        onBlur={take}
        slotProps={{ htmlInput: { style: { fontFamily: MONO }, autoCapitalize: 'off', spellCheck: false } }}
      />
    </Box>
  );
}
