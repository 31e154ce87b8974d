import { expect, test } from 'vitest';
import type { Arrangement, Placement } from '../../api/client';
import { partText } from './partText';

const placement = (index: number, played: string, shape: string, fingers: (string | null)[], lyric: string) =>
  ({
    index,
    bar: index + 1,
    section: 'Verse',
    played,
    lyric,
    grip: { shape, fingers },
  }) as unknown as Placement;

test('the part reads in a plain editor: grips, then chords and shapes over the words', () => {
  const text = partText('Towpath', {
    key: 'A major',
    metre: '4/4',
    tempo: 92,
    capo: { chosen: 2 },
    placements: [
      placement(0, 'G', '320003', ['3', '2', null, null, null, '4'], 'Morning on the'),
      placement(1, 'D', 'xx0232', [null, null, null, '1', '3', '2'], 'towpath'),
    ],
  } as unknown as Arrangement);
  expect(text).toBe(
    [
      'Towpath',
      'Capo 2, sounds in A major, 4/4, 92 beats a minute',
      '',
      'G  320003          fingers 32---4',
      'D  xx0232          fingers ---132',
      '',
      '[Verse]',
      'G               D',
      '320003          xx0232',
      'Morning on the  towpath',
      '',
    ].join('\n'),
  );
});
