// Prints what the demo songs are played like on every rung: capo, frets, fingers, strokes, notes and prices, a line each.
// Two runs before and after a change that is to change no part are compared with diff.
const [address] = process.argv.slice(2);

const SETTINGS = ['alone', 'singer', 'bass', 'second'];
const RUNGS = [1, 2, 3, 4, 5];

async function ask(path, body) {
  const response = await fetch(`${address}/api/v1${path}`, {
    method: body ? 'POST' : 'GET',
    headers: { 'Content-Type': 'application/json' },
    body: body && JSON.stringify(body),
  });
  if (!response.ok) {
    throw new Error(`${path}: ${response.status} ${await response.text()}`);
  }
  return response.json();
}

const spell = (grip) =>
  grip === null ? 'none' : `${grip.frets.map((f) => f ?? 'x').join('-')} ${grip.fingers.map((f) => f ?? '-').join('')} ${grip.effort.total}`;

function* lines(arrangement, part) {
  yield `capo ${arrangement.capo.chosen} of ${arrangement.capo.candidates.map((c) => c.total).join(' ')}`;
  yield `total ${arrangement.total}, holds ${arrangement.fastestTempo}`;
  for (const p of arrangement.placements) {
    yield `${p.index} ${p.chord} as ${p.played}: ${spell(p.grip)}`;
    for (const other of p.alternatives) {
      yield `  or ${spell(other.grip)} for ${other.price}`;
    }
  }
  for (const c of arrangement.changes) {
    const acts = c.acts.map((a) => `${a.finger} ${a.act} ${a.distanceMm}`).join(', ');
    yield `${c.from} to ${c.to}: ${acts}; ${c.effort.total}, ${c.neededSeconds} of ${c.availableSeconds}`;
  }
  for (const bar of part.bars) {
    for (const e of bar.events) {
      const notes = e.notes.map((n) => `${n.string}/${n.fret}=${n.midi} ${n.left} ${n.right} ${n.ring}`).join(', ');
      yield `bar ${bar.number} at ${e.beat} ${e.strum} ${e.weight} ${e.sound}: ${notes}`;
    }
  }
}

for (const { id } of await ask('/songs')) {
  const { title, source, decisions } = await ask(`/songs/${id}`);
  for (const setting of SETTINGS) {
    for (const rung of RUNGS) {
      const song = { chart: { source }, rung, setting, patterns: decisions.patterns };
      const arrangement = await ask('/arrangements/preview', song);
      const part = await ask('/parts/preview', { song });
      console.log(`# ${title}, ${setting}, rung ${rung}`);
      for (const line of lines(arrangement, part)) {
        console.log(line);
      }
    }
  }
}
