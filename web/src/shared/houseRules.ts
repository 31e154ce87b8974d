import type { HouseRules } from '../api/client';

/** A house rule with sides to choose from. */
export interface ChoiceRule {
  field:
    | 'capo'
    | 'thumb'
    | 'majorBarre'
    | 'fullness'
    | 'seventhDegree'
    | 'minorDominant'
    | 'repeatsAlike'
    | 'pickingHand'
    | 'filling';
  question: string;
  /** Value and words of each side. */
  sides: readonly (readonly [string, string])[];
  usual: string;
  /** Why its default is what it is. */
  reason: string;
  read: (value: string) => HouseRules[ChoiceRule['field']];
}

const flag = (value: string) => value === 'true';
const text = (value: string) => value as never;

/** Where good players disagree and a side can be picked; open strings and top line have sliders of their own. */
export const CHOICES: readonly ChoiceRule[] = [
  {
    field: 'capo',
    question: 'Capo or barre?',
    sides: [
      ['true', 'a capo is fine'],
      ['false', 'no capo'],
    ],
    usual: 'true',
    reason: 'By the guitar: allowed on acoustic and nylon, off on electric.',
    read: flag,
  },
  {
    field: 'thumb',
    question: 'Thumb over the neck for the low string?',
    sides: [
      ['true', 'yes'],
      ['false', 'no'],
    ],
    usual: 'false',
    reason: 'Off unless you use it: it frees the barre, but asks for another hand position.',
    read: flag,
  },
  {
    field: 'majorBarre',
    question: 'A-shape majors: one finger across, or three fingertips?',
    sides: [
      ['either', 'whichever is easier'],
      ['barre', 'one finger across'],
      ['fingertips', 'three fingertips'],
    ],
    usual: 'either',
    reason: 'Both are priced, and the cheaper one is shown.',
    read: text,
  },
  {
    field: 'fullness',
    question: 'Whole chords or part-shapes?',
    sides: [
      ['by_setting', 'as the setting wants'],
      ['whole', 'whole chords'],
      ['parts', 'parts of chords'],
    ],
    usual: 'by_setting',
    reason: 'Alone the bass is kept; in a band small and rootless shapes leave room.',
    read: text,
  },
  {
    field: 'seventhDegree',
    question: 'The seventh degree of a major key?',
    sides: [
      ['by_rung', 'by rung'],
      ['dominant', 'the fifth degree over its third'],
      ['diminished', 'the diminished chord'],
      ['minor', 'a loose minor chord'],
    ],
    usual: 'by_rung',
    reason: 'The fifth over its third below rung 4, for it is smoother and easier; diminished from there.',
    read: text,
  },
  {
    field: 'minorDominant',
    question: 'The ninth of a dominant before a minor chord?',
    sides: [
      ['flat_nine', 'flat'],
      ['natural_nine', 'natural'],
    ],
    usual: 'flat_nine',
    reason: 'Flat: the natural ninth points to major.',
    read: text,
  },
  {
    field: 'pickingHand',
    question: 'Picking hand: p i m a, or the thumb leads?',
    sides: [
      ['pima', 'p i m a'],
      ['thumb_led', 'the thumb leads'],
    ],
    usual: 'pima',
    reason: 'A finger for each treble; folk and soul players let the thumb take all but the highest string.',
    read: text,
  },
  {
    field: 'filling',
    question: 'Filling between phrases?',
    sides: [
      ['by_setting', 'in the gaps, with a singer'],
      ['anywhere', 'anywhere'],
      ['nowhere', 'leave the space'],
    ],
    usual: 'by_setting',
    reason: 'With a singer the words need their space; fills stand in the gaps only.',
    read: text,
  },
  {
    field: 'repeatsAlike',
    question: 'Repeats?',
    sides: [
      ['true', 'like the first time'],
      ['false', 'free to differ'],
    ],
    usual: 'true',
    reason: 'One thing to learn; a repeat may still be given a grip of its own.',
    read: flag,
  },
];
