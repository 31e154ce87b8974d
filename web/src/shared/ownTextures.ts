import { useQuery } from '@tanstack/react-query';
import { api, type OwnTexture } from '../api/client';
import { textureName } from './words';

export const OWN_TEXTURES = ['own-textures'] as const;

/** The player's own textures, as they are kept. */
export function useOwnTextures() {
  return useQuery({ queryKey: OWN_TEXTURES, queryFn: api.ownTextures }).data ?? [];
}

/** Names textures: a player's own by the name it was given, as long as it is kept. */
export function useTextureName(): (id: string) => string {
  const own = useOwnTextures();
  return (id) => own.find((stored) => stored.says === id)?.texture.name ?? textureName(id);
}

/** What a texture of one's own is, in words: {@code drop 2, else form; strings 5432 or 4321; no open strings}. */
export function ownTextureWords({ families, otherwise, open, strings, voices, led }: OwnTexture): string {
  const kinds = families.map(label).join(', ');
  const facts = [
    otherwise && otherwise.length > 0 ? `${kinds}, else ${otherwise.map(label).join(', ')}` : kinds,
    strings && strings.length > 0 ? `strings ${strings.join(' or ')}` : '',
    open === 'none' ? 'no open strings' : open === 'bass' ? 'open strings in the bass alone' : '',
    voices === null ? '' : `${voices} voices`,
    led === true ? 'each voice moves as little as it can' : '',
  ];
  return facts.filter((fact) => fact !== '').join('; ');
}

function label(family: string): string {
  return family.replace('-', ' ');
}
