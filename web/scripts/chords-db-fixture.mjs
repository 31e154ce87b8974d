// Writes the guitar positions of the open data set @tombatossals/chords-db (MIT) as a table for the tests of the core.
// Usage, from web/: node scripts/chords-db-fixture.mjs > ../core/src/test/resources/underhand/hand/chords-db.tsv
import { createRequire } from 'node:module';

const require = createRequire(import.meta.url);
const { version } = require('@tombatossals/chords-db/package.json');
const guitar = require('@tombatossals/chords-db/lib/guitar.json');

console.log(
  `# Guitar positions of @tombatossals/chords-db ${version} (MIT); written by web/scripts/chords-db-fixture.mjs`,
);
console.log('# columns: key, suffix, frets low string to high from the nut (x silent), fingers (- none)');
for (const chords of Object.values(guitar.chords)) {
  for (const chord of chords) {
    for (const position of chord.positions) {
      const frets = position.frets.map((f) =>
        f < 0 ? 'x' : f === 0 ? '0' : String(f + position.baseFret - 1),
      );
      const fingers = position.fingers.map((f) => (f === 0 ? '-' : String(f)));
      console.log([chord.key, chord.suffix, frets.join('-'), fingers.join('')].join('\t'));
    }
  }
}
