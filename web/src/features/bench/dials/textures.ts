import type { Arrangement, Decisions, Placement, TextureChoice } from '../../../api/client';

/** Where a texture holds: all through the song, in a section counted from 0, at one chord, or for who plays beside. */
export type Where =
  | { kind: 'song' }
  | { kind: 'section'; section: number }
  | { kind: 'chord'; placement: number }
  | { kind: 'second' };

/** The decisions a texture is among. */
type Decided = Pick<Decisions, 'texture' | 'textures' | 'second'>;

/** The section a placement is in, counted from 0. */
export function sectionOf({ sections }: Arrangement, { bar }: Placement): number {
  return Math.max(
    0,
    sections.findLastIndex((section) => section.bar <= bar),
  );
}

/** What was chosen there; null where nothing was. */
export function textureThere({ texture, textures, second }: Decided, where: Where): string | null {
  switch (where.kind) {
    case 'song':
      return texture ?? null;
    case 'second':
      return second?.texture ?? null;
    default:
      return textures.find(isAt(where))?.texture ?? null;
  }
}

/** What changes in the decisions with another one there; with none there for null. */
export function withTexture(
  { textures, second }: Decided,
  where: Where,
  texture: string | null,
): Partial<Decided> {
  switch (where.kind) {
    case 'song':
      return { texture };
    case 'second':
      return { second: second && { ...second, texture } };
    default: {
      const others = textures.filter((choice) => !isAt(where)(choice));
      const { section, placement } = { section: null, placement: null, ...where };
      return { textures: texture === null ? others : [...others, { section, placement, texture }] };
    }
  }
}

function isAt(where: Where): (choice: TextureChoice) => boolean {
  return ({ section, placement }) =>
    (where.kind === 'section' && section === where.section) ||
    (where.kind === 'chord' && placement === where.placement);
}
