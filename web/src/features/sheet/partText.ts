import type { Arrangement, Grip } from '../../api/client';
import { differentGrips, lines } from './sheetLines';

const GAP = 2;

/** The part as plain text: its grips with fingers, then every line of four bars with shapes over the words. */
export function partText(title: string, arrangement: Arrangement): string {
  const capo = arrangement.capo.chosen;
  const head = [
    title,
    `${capo === 0 ? 'No capo' : `Capo ${capo}`}, sounds in ${arrangement.key}, ${arrangement.metre}, ` +
      `${arrangement.tempo} beats a minute`,
  ];
  const grips = differentGrips(arrangement.placements);
  const widest = Math.max(0, ...grips.map((g) => g.played.length));
  const legend = grips.map(
    ({ played, grip }) => `${played.padEnd(widest + GAP)}${grip.shape.padEnd(16)}fingers ${fingersOf(grip)}`,
  );
  const body = lines(arrangement.placements).flatMap((line) => {
    const cells = line.placements.map((p) => [p.played ?? 'N.C.', p.grip?.shape ?? '', p.lyric]);
    const rows = [0, 1, 2].map((row) => columns(cells, row)).filter((row) => row !== '');
    return [...(line.section === '' ? [] : [`[${line.section}]`]), ...rows, ''];
  });
  return [...head, '', ...legend, '', ...body].join('\n').trimEnd() + '\n';
}

/** One row of a line, each cell as wide as the widest of its column. */
function columns(cells: string[][], row: number): string {
  return cells
    .map((cell) => (cell[row] ?? '').padEnd(Math.max(...cell.map((text) => text.length)) + GAP))
    .join('')
    .trimEnd();
}

function fingersOf(grip: Grip): string {
  return grip.fingers.map((finger) => finger ?? '-').join('');
}
