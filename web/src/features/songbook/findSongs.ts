import type { SongSummary } from '../../api/client';

/** Songs whose title, key or metre hold every word looked for; all of them when nothing is. */
export function findSongs(songs: SongSummary[], words: string): SongSummary[] {
  const wanted = fold(words).split(/\s+/).filter(Boolean);
  return songs.filter((song) => {
    const text = fold(`${song.title} ${song.key} ${song.metre}`);
    return wanted.every((word) => text.includes(word));
  });
}

/** Without accents and case, sharps and flats as they are typed. */
function fold(text: string): string {
  return text
    .toLowerCase()
    .replaceAll('♯', '#')
    .replaceAll('♭', 'b')
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '');
}
