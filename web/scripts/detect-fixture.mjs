// Writes how the general library tonal names every set of three to five tones of its chord table over each of its tones, for the
// core's tests. Run: node scripts/detect-fixture.mjs > ../core/src/test/resources/underhand/chord/detected.tsv
import { Chord, ChordType, Note } from 'tonal';

const LEAST = 3;
const MOST = 5;

function chromaOver(root, notes) {
  const above = new Set(notes.map((note) => (Note.chroma(note) - Note.chroma(root) + 12) % 12));
  return Array.from({ length: 12 }, (_, step) => (above.has(step) ? '1' : '0')).join('');
}

/** A name as its root and what it has above it: a letter after the root may belong to either, the tones decide. */
function meant(name, notes) {
  const plain = name.endsWith(`/${notes[0]}`) ? name.slice(0, -notes[0].length - 1) : name;
  const root = notes.find(
    (note) =>
      plain.startsWith(note) && ChordType.get(plain.slice(note.length)).chroma === chromaOver(note, notes),
  );
  return `${Note.chroma(root)}:${chromaOver(root, notes)}`;
}

console.log(
  '# Names of every chord of three to five tones on C over each of its tones, as the library tonal detects them.',
);
console.log('# source: tonal 6.4.3 (MIT), ChordType.all and Chord.detect, by web/scripts/detect-fixture.mjs');
console.log(
  '# columns: type, tones from the bass up, names, each name as its root (C = 0) and its steps above it',
);
for (const type of ChordType.all()) {
  if (type.intervals.length >= LEAST && type.intervals.length <= MOST) {
    const notes = type.intervals.map((interval) => Note.simplify(Note.transpose('C', interval)));
    notes.forEach((_, bass) => {
      const turned = [...notes.slice(bass), ...notes.slice(0, bass)];
      const names = Chord.detect(turned);
      console.log(
        [
          type.aliases[0],
          turned.join(' '),
          names.join(' '),
          names.map((name) => meant(name, turned)).join(' '),
        ].join('\t'),
      );
    });
  }
}
