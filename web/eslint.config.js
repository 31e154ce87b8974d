import js from '@eslint/js';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** The floors of the front end, ground floor first: what stands on one uses only those below it. */
const FLOORS = ['theme', 'api', 'shared', 'features', 'app'];

/** Features that others may use, and the only ones that do. */
const LENT = {
  sound: ['bench', 'sheet', 'chords', 'drills'],
  patterns: ['bench'],
  chords: ['bench', 'songbook'],
};

/** The rooms of the bench, lowest first; the view on top is in none of them. */
const BENCH = ['state', 'lane', 'ruler', 'road', 'dials', 'why'];

const FEATURES = [
  'bench',
  'book',
  'chords',
  'drills',
  'neckmap',
  'patterns',
  'players',
  'rungs',
  'shapes',
  'sheet',
  'songbook',
  'sound',
  'versions',
];

/** Files that may not import what matches some patterns; tests may. */
function closed(files, groups, message) {
  return {
    files: [`src/${files}/**`],
    ignores: ['**/*.test.*'],
    rules: { 'no-restricted-imports': ['error', { patterns: [{ group: groups, message }] }] },
  };
}

function upstairs(floor) {
  return FLOORS.slice(FLOORS.indexOf(floor) + 1).flatMap((above) => [`**/${above}/**`]);
}

/** A rule of a file replaces the one before, so each set of files has all that is closed to it. */
const floors = FLOORS.slice(0, -1)
  .filter((floor) => floor !== 'features')
  .map((floor) => closed(floor, upstairs(floor), `${floor} uses only what is below it.`));

const features = FEATURES.map((feature) =>
  closed(
    `features/${feature}`,
    [
      ...upstairs('features'),
      ...FEATURES.filter((other) => other !== feature && !LENT[other]?.includes(feature)).map(
        (other) => `**/${other}/*`,
      ),
    ],
    'A feature uses no other, but sound and patterns where they are lent.',
  ),
);

const benchRooms = BENCH.map((room, floor) =>
  closed(
    `features/bench/${room}`,
    [
      ...upstairs('features'),
      ...BENCH.slice(floor + 1).map((above) => `**/${above}/*`),
      '../BenchView',
      '../use*',
    ],
    'A room of the bench uses only those before it.',
  ),
);

export default tseslint.config(
  { ignores: ['dist', 'target', 'src/api/generated'] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  reactHooks.configs.flat.recommended,
  { files: ['scripts/**'], languageOptions: { globals: { console: 'readonly' } } },
  ...floors,
  ...features,
  ...benchRooms,
);
