import type { Arrangement, Placement, TextureChoice } from '../../../api/client';

/** Where a texture holds: all through the song, in a section counted from 0, or at one chord. */
export type Where =
  { kind: 'song' } | { kind: 'section'; section: number } | { kind: 'chord'; placement: number };

/** The section a placement is in, counted from 0. */
export function sectionOf({ sections }: Arrangement, { bar }: Placement): number {
  return Math.max(
    0,
    sections.findLastIndex((section) => section.bar <= bar),
  );
}

/** What was chosen there; null where nothing was. */
export function textureThere(
  song: string | null | undefined,
  textures: TextureChoice[],
  where: Where,
): string | null {
  return where.kind === 'song' ? (song ?? null) : (textures.find(isAt(where))?.texture ?? null);
}

/** The choices with another one there; with none there for null. */
export function withTexture(
  textures: TextureChoice[],
  where: Where,
  texture: string | null,
): TextureChoice[] {
  const others = textures.filter((choice) => !isAt(where)(choice));
  if (texture === null || where.kind === 'song') {
    return others;
  }
  const { section, placement } = { section: null, placement: null, ...where };
  return [...others, { section, placement, texture }];
}

function isAt(where: Where): (choice: TextureChoice) => boolean {
  return ({ section, placement }) =>
    (where.kind === 'section' && section === where.section) ||
    (where.kind === 'chord' && placement === where.placement);
}
