import type { SongForecast } from '../api/client';

/** What a song holds of its tempo. */
export function holdsWords({ holds, tempo }: Pick<SongForecast, 'holds' | 'tempo'>): string {
  return holds >= tempo ? `holds its ${tempo}` : `holds ${holds} of ${tempo}`;
}

/** Songs that hold their tempo before another rung is proposed. */
export const ENOUGH = 4;

/** Whether so many songs hold their tempo that the next rung is worth a look. */
export function isReadyForMore(songs: Pick<SongForecast, 'state'>[]): boolean {
  return songs.filter((song) => song.state === 'holds').length >= ENOUGH;
}

/** When it will hold its tempo, as far as the log tells. */
export function whenWords(forecast: SongForecast): string {
  const { tempo, state, day, early, late } = forecast;
  switch (state) {
    case 'holds':
      return '';
    case 'soon':
      return `${tempo} about ${dayWords(day)}, ${
        late === null
          ? `${dayWords(early)} at the earliest`
          : `between ${dayWords(early)} and ${dayWords(late)}`
      }`;
    case 'not_faster':
      return 'not all of its changes have become faster yet';
    default:
      return 'too few clean runs to say when it holds more';
  }
}

function dayWords(day: string | null): string {
  return day === null
    ? ''
    : new Date(`${day}T12:00`).toLocaleDateString('en-GB', { day: 'numeric', month: 'long' });
}
