// Writes what two reference libraries make of chord symbols in many spellings, as a table for the tests of the core.
// Usage, from web/: node scripts/chord-symbols-fixture.mjs > ../core/src/test/resources/underhand/chord/chord-symbols.tsv
import { createRequire } from 'node:module';
import { chordParserFactory } from '../node_modules/chord-symbol/lib/chord-symbol-esm.js';

const require = createRequire(import.meta.url);
const { Chord, Interval } = require('tonal');
const version = (name) => require(`${name}/package.json`).version;
const parse = chordParserFactory();

const ROOTS = 'C Db D Eb E F F# G Ab A Bb B'.split(' ');
const SUFFIXES = `
m - min maj7 M7 ma7 Maj7 △ △7 Δ7 ^ ^7 7 dom7 -7 m7 min7 m7b5 m7♭5 -7b5 ø ø7 dim ° o dim7 °7 o7 + aug +7 aug7 7#5 7+5
6 m6 -6 6/9 69 m69 m6/9 9 m9 -9 min9 maj9 M9 △9 11 m11 -11 13 m13 maj13 M13 sus sus4 sus2 7sus 7sus4 9sus 9sus4 13sus4
add9 add2 2 m(add9) madd9 (add9) (maj7) m(maj7) mM7 mmaj7 m△7 -maj7 -△7 mMaj9 7b9 7#9 7♭9 7♯9 7b5 7(b9) 7(#9) 7(b9,#11)
7(b5,b9) 7#5#9 7#5b9 7b5#9 7b5b9 7b9#11 7#9#11 7#11 7b13 9#11 9b5 9#5 13b9 13#9 13#11 maj7#11 maj7(#11) maj9#11 M7#11
maj7b5 maj7#5 +maj7 +M7 5 7b9sus4 7b9sus alt 7alt m7#5 m9b5 m11b5 add4 add11 madd4 maj13#11 m7add11 7add11 7add13
maj7sus4 7no5 no3 no5 m6add9 sus2sus4 7sus2 b5 #5 7b9b13 7#9b13 9b13 mb6 maj6 M6 mi mi7 ma9
`
  .trim()
  .split(/\s+/);

const classes = (semitones) =>
  [...new Set(semitones.map((s) => ((s % 12) + 12) % 12))].sort((a, b) => a - b).join(' ');

function byTonal(symbol) {
  const intervals = Chord.get(symbol).intervals;
  return intervals.length > 0 ? classes(intervals.map((i) => Interval.semitones(i))) : '-';
}

function byChordSymbol(symbol) {
  const read = parse(symbol);
  return read.error ? '-' : classes(read.normalized.semitones);
}

console.log(
  `# Pitch classes above the root by npm tonal ${version('tonal')} and chord-symbol ${version('chord-symbol')}; - where not read`,
);
console.log('# columns: root, suffix, tonal, chord-symbol; written by web/scripts/chord-symbols-fixture.mjs');
for (const root of ROOTS) {
  for (const suffix of ['', ...SUFFIXES]) {
    console.log([root, suffix, byTonal(root + suffix), byChordSymbol(root + suffix)].join('\t'));
  }
}
