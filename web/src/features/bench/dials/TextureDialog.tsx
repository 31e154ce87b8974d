import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import Skeleton from '@mui/material/Skeleton';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Arrangement, type PreviewBody, type StoredTexture } from '../../../api/client';
import { keyOf } from '../../../api/songBody';
import { GripFrame } from '../../../shared/GripFrame';
import { useArranged, usePlacement, useWork } from '../state/BenchWork';
import { OWN_TEXTURES, ownTextureWords, useOwnTextures, useTextureName } from '../../../shared/ownTextures';
import { useRemoval } from '../../../shared/useRemoval';
import { sectionOf, textureThere, withTexture, type Where } from './textures';
import { MakeTexture } from './MakeTexture';
import { WishFields } from './WishFields';

/** Single families, for whoever wants just that. */
const FAMILIES = ['drop2', 'drop3', 'power'];

/** The kinds of part, the one that fits best first: why, what it asks of the hand, and its first two grips. */
export function TextureDialog({
  second,
  onClose,
}: {
  /** What the second guitar plays; undefined where there is none. */
  second: Arrangement | undefined;
  onClose: () => void;
}) {
  const { decisions, decide } = useWork();
  const arrangement = useArranged();
  const placement = usePlacement();
  const [where, setWhere] = useState<Where>({ kind: 'song' });
  const [all, setAll] = useState(false);
  const [makes, setMakes] = useState(false);
  const own = useOwnTextures();
  const removal = useRemoval<StoredTexture>({
    remove: ({ id }) => api.removeOwnTexture(id),
    putBack: ({ id }) => api.putBackOwnTexture(id),
    said: (stored) => `The texture “${stored.texture.name}” was removed. Songs that have it keep it.`,
    reread: [{ queryKey: OWN_TEXTURES }],
  });
  const isSecond = where.kind === 'second' && decisions.second !== null;
  const isWhole = where.kind === 'song' || isSecond;
  const { ranked, chosen } = (isSecond && second ? second : arrangement).texture;
  const said = textureThere(decisions, where);
  const take = (texture: string | null) => decide(withTexture(decisions, where, texture));
  const isTaken = (texture: string) => (said ?? (isWhole ? chosen : null)) === texture;
  const places: [string, Where][] = [
    ['whole song', { kind: 'song' }],
    ...(placement
      ? ([
          [
            placement.section === '' ? 'this section' : placement.section,
            { kind: 'section', section: sectionOf(arrangement, placement) },
          ],
          [
            `${placement.played ?? 'this chord'} in bar ${placement.bar}`,
            { kind: 'chord', placement: placement.placement },
          ],
        ] satisfies [string, Where][])
      : []),
    ...(decisions.second && second ? [['second guitar', { kind: 'second' }] satisfies [string, Where]] : []),
  ];
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="texture-title">
      <Box sx={{ p: 2.5, display: 'flex', flexDirection: 'column', gap: 1.5 }}>
        <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
          <Typography id="texture-title" variant="h2" sx={{ flex: 1 }}>
            What the part is made of
          </Typography>
          <Button onClick={onClose}>Done</Button>
        </Box>
        {places.length > 1 && (
          <ToggleButtonGroup
            exclusive
            size="small"
            value={where.kind}
            aria-label="Where it holds"
            onChange={(_, kind: Where['kind'] | null) => {
              const found = places.find(([, place]) => place.kind === kind);
              if (found) {
                setWhere(found[1]);
              }
            }}
          >
            {places.map(([words, place]) => (
              <ToggleButton key={place.kind} value={place.kind}>
                {words}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
        )}
        {!isSecond && <WishFields wishes={decisions.wishes} onWish={(wishes) => decide({ wishes })} />}
        {said !== null && (
          <Button variant="outlined" sx={{ alignSelf: 'start' }} onClick={() => take(null)}>
            {isSecond
              ? 'Leave the first guitar its room'
              : isWhole
                ? 'Let the chart decide'
                : 'As in the whole song'}
          </Button>
        )}
        <Box component="ul" aria-label="Textures" sx={{ listStyle: 'none', m: 0, p: 0 }}>
          {ranked.map(({ texture, words, reason }) => (
            <Choice
              key={texture}
              texture={texture}
              words={words}
              reason={reason}
              taken={isTaken(texture)}
              ofSecond={isSecond}
              onTake={() => take(texture)}
            />
          ))}
          {own.map((stored) => (
            <Choice
              key={stored.id}
              texture={stored.says}
              words="your own"
              reason={ownTextureWords(stored.texture)}
              taken={isTaken(stored.says)}
              ofSecond={isSecond}
              onTake={() => take(stored.says)}
              onRemove={() => removal.remove(stored)}
            />
          ))}
          {all &&
            FAMILIES.map((texture) => (
              <Choice
                key={texture}
                texture={texture}
                words="this family alone"
                reason=""
                taken={isTaken(texture)}
                ofSecond={isSecond}
                onTake={() => take(texture)}
              />
            ))}
        </Box>
        {makes ? (
          <MakeTexture
            onKept={(stored) => {
              setMakes(false);
              take(stored.says);
            }}
            onLeave={() => setMakes(false)}
          />
        ) : (
          <Box>
            {!all && <Button onClick={() => setAll(true)}>Single families</Button>}
            <Button onClick={() => setMakes(true)}>Make one of my own</Button>
          </Box>
        )}
        {removal.notice}
      </Box>
    </Dialog>
  );
}

function Choice({
  texture,
  words,
  reason,
  taken,
  ofSecond,
  onTake,
  onRemove,
}: {
  texture: string;
  words: string;
  reason: string;
  taken: boolean;
  ofSecond: boolean;
  onTake: () => void;
  /** Missing for those that ship. */
  onRemove?: () => void;
}) {
  const { body } = useWork();
  const nameOf = useTextureName();
  const tried = useTried(body, texture, ofSecond);
  const grips = (tried.data?.newShapes ?? [])
    .map((at) => tried.data?.placements[at]?.grip)
    .filter((grip) => grip != null)
    .slice(0, 2);
  return (
    <Box
      component="li"
      data-texture={texture}
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: '150px minmax(0, 1fr) 190px' },
        gap: 1.5,
        alignItems: 'center',
        py: 1,
        borderTop: 1,
        borderColor: 'divider',
      }}
    >
      <Button variant={taken ? 'contained' : 'outlined'} aria-pressed={taken} onClick={onTake}>
        {nameOf(texture)}
      </Button>
      <Box>
        <Typography sx={{ fontWeight: 700 }}>{words}</Typography>
        <Typography variant="body2">{reason}</Typography>
        {tried.data && (
          <Typography variant="body2" color="text.secondary">
            effort {tried.data.total.toFixed(1)} · holds up to {tried.data.fastestTempo}
            {tried.data.capo.chosen > 0 && ` · capo ${tried.data.capo.chosen}`}
          </Typography>
        )}
        {onRemove && (
          <Button size="small" aria-label={`Remove ${nameOf(texture)}`} onClick={onRemove}>
            Remove
          </Button>
        )}
        {tried.isError && <Typography variant="body2">It cannot be tried: {tried.error.message}</Typography>}
      </Box>
      <Box sx={{ display: 'flex', gap: 1, minHeight: 84 }}>
        {tried.isPending ? (
          <Skeleton variant="rounded" width={180} height={84} />
        ) : (
          grips.map((grip) => <GripFrame key={grip.shape} grip={grip} size={0.7} />)
        )}
      </Box>
    </Box>
  );
}

/** The whole song in a texture, worked out when somebody looks at it. */
function useTried(body: PreviewBody | undefined, texture: string, ofSecond: boolean) {
  return useQuery({
    queryKey: ['texture', texture, ofSecond, keyOf(body)],
    queryFn: ({ signal }) =>
      ofSecond && body?.second
        ? api
            .second({ ...body, second: { ...body.second, texture } }, signal)
            .then((part) => part.arrangement)
        : api.arrange({ ...body, texture, textures: [] }, signal),
    enabled: body !== undefined,
  });
}
