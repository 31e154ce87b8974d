import { describe, expect, it } from 'vitest';
import {
  altered,
  atStep,
  fifthsOf,
  held,
  midiOf,
  nearest,
  noteBefore,
  put,
  retimed,
  spelled,
  stepOf,
  stepped,
  within,
  type TuneNote,
} from './tune';

const note = (from: number, beats: number, pitch: string): TuneNote => ({ from, beats, pitch });

describe('pitches', () => {
  it.each([
    ['C4', 60],
    ['F#4', 66],
    ['Bb3', 58],
    ['E5', 76],
  ])('%s is %i', (pitch, midi) => {
    expect(midiOf(pitch)).toBe(midi);
  });

  it.each([
    ['C major', 0],
    ['G major', 1],
    ['F major', -1],
    ['F♯ minor', 3],
    ['E♭ major', -3],
    ['B♭ minor', -5],
    ['A minor', 0],
    ['B major', 5],
  ])('%s has %i sharps', (key, fifths) => {
    expect(fifthsOf(key)).toBe(fifths);
  });

  it('has the signs of the key first', () => {
    expect(nearest('f', 1, 'E4')).toBe('F#4');
    expect(nearest('b', -1, 'C5')).toBe('Bb4');
    expect(nearest('c', 0, 'B4')).toBe('C5');
    expect(nearest('g', 0, undefined)).toBe('G4');
    expect(nearest('f', 0, 'C5')).toBe('F5');
  });

  it('spells every pitch so that it is the pitch, in every key', () => {
    for (let fifths = -6; fifths <= 6; fifths++) {
      for (let midi = 36; midi < 90; midi++) {
        expect(midiOf(spelled(midi, fifths))).toBe(midi);
      }
    }
    expect(spelled(66, 1)).toBe('F#4');
    expect(spelled(70, -2)).toBe('Bb4');
  });

  it('goes from steps to pitches and back', () => {
    for (let step = 20; step < 45; step++) {
      expect(stepOf(atStep(step, 3))).toBe(step);
    }
  });
});

describe('a tune', () => {
  it('takes a note in the place of what was there', () => {
    const notes = [note(0, 2, 'E4'), note(2, 2, 'G4')];
    expect(put(notes, 1, 2, 'A4')).toEqual([note(0, 1, 'E4'), note(1, 2, 'A4')]);
    expect(put(notes, 0, 1, null)).toEqual([note(2, 2, 'G4')]);
    expect(put(notes, 4, 1, 'C5')).toHaveLength(3);
  });

  it('moves a note by the scale, by half steps, and holds it', () => {
    const notes = [note(0, 1, 'E4'), note(1, 1, 'G4')];
    const first = notes[0] as TuneNote;
    expect(stepped(notes, first, 1, 1)[0]?.pitch).toBe('F#4');
    expect(stepped(notes, first, 7, 0)[0]?.pitch).toBe('E5');
    expect(altered(notes, first, -1)[0]?.pitch).toBe('Eb4');
    expect(held(notes, first, 1)).toEqual([note(0, 2, 'E4')]);
    expect(stepped(notes, first, 70, 0)).toEqual(notes);
  });

  it('knows the note before a place', () => {
    const notes = [note(0, 1, 'E4'), note(2, 1, 'G4')];
    expect(noteBefore(notes, 1)?.pitch).toBe('E4');
    expect(noteBefore(notes, 2)).toBeUndefined();
    expect(noteBefore(notes, 2.5)?.pitch).toBe('G4');
  });

  it('goes by the times that were tapped', () => {
    const notes = [note(0, 1, 'E4'), note(1, 1, 'G4'), note(2, 1, 'A4'), note(3, 1, 'C5')];
    // At 60 beats a minute a second is a beat: long, short, short.
    expect(retimed(notes, 0, [0, 1480, 2010], 60, 0.5).slice(0, 3)).toEqual([
      note(0, 1.5, 'E4'),
      note(1.5, 0.5, 'G4'),
      note(2, 1, 'A4'),
    ]);
    expect(retimed(notes, 0, [5], 60, 0.5)).toBe(notes);
  });

  it('ends where the bars end', () => {
    expect(within([note(6, 4, 'E4'), note(9, 1, 'G4')], 8)).toEqual([note(6, 2, 'E4')]);
  });
});
