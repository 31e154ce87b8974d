import { getContrastRatio } from '@mui/material/styles';
import { describe, expect, test } from 'vitest';
import { colorSchemes } from './theme';

// Web Content Accessibility Guidelines 2.2: 1.4.3 for text, 1.4.11 for what is not text.
const TEXT = 4.5;
const DRAWN = 3;

describe.each(['light', 'dark'] as const)('%s', (name) => {
  const { draw, text, background, primary, error, warning, divider } = colorSchemes[name].palette;
  const grounds = {
    page: background.default,
    dialog: background.paper,
    drawing: draw.sheet,
    panel: draw.panel,
  };
  const words = {
    primary: text.primary,
    secondary: text.secondary,
    button: primary.main,
    error: error.main,
    warning: warning.main,
    moves: draw.movesText,
    misfit: draw.misfit,
  };
  const drawn = { stays: draw.stays, moves: draw.moves, misfit: draw.misfit, columns: draw.quiet };
  const pairs = (of: Record<string, string>, on: Record<string, string>) =>
    Object.entries(of).flatMap(([what, colour]) =>
      Object.entries(on).map(([where, ground]) => [what, where, colour, ground] as const),
    );

  test.each(pairs(words, grounds))('the text %s on the %s is read', (_, __, colour, ground) => {
    expect(getContrastRatio(colour, ground)).toBeGreaterThanOrEqual(TEXT);
  });

  test.each(pairs(drawn, grounds))('%s on the %s is seen', (_, __, colour, ground) => {
    expect(getContrastRatio(colour, ground)).toBeGreaterThanOrEqual(DRAWN);
  });

  test.each(pairs({ fits: draw.stays, tight: draw.moves, late: draw.misfit }, { 'time there is': divider }))(
    'a change that is %s stands out of the %s',
    (_, __, colour, ground) => {
      expect(getContrastRatio(colour, ground)).toBeGreaterThanOrEqual(DRAWN);
    },
  );

  test.each(pairs({ 'moving finger': draw.moves, text: text.primary }, { wood: draw.wood }))(
    'a %s is seen on the %s',
    (_, __, colour, ground) => {
      expect(getContrastRatio(colour, ground)).toBeGreaterThanOrEqual(DRAWN);
    },
  );

  test('a pressed switch is seen beside the others, and read', () => {
    expect(getContrastRatio(primary.main, background.default)).toBeGreaterThanOrEqual(DRAWN);
    expect(getContrastRatio(primary.main, background.paper)).toBeGreaterThanOrEqual(DRAWN);
    expect(getContrastRatio(primary.contrastText, primary.main)).toBeGreaterThanOrEqual(TEXT);
  });
});
