import type { Grip, PlannedDrill } from '../../../api/client';
import type { Loop, Sounding } from './simulatedHand';

/** The two chords of a drill as they sound; null for a drill of the right hand alone. */
export function loopOf(drill: PlannedDrill, tempo: number): Loop | null {
  const sounding = (grip: Grip): Sounding[] =>
    grip.frets.flatMap((fret, string) => {
      const open = drill.openStrings[string];
      return fret === null || open === undefined ? [] : [{ midi: open + fret, isOpen: fret === 0 }];
    });
  return drill.from && drill.to ? { from: sounding(drill.from), to: sounding(drill.to), tempo } : null;
}
