import {
  Accidental,
  Articulation,
  Beam,
  Dot,
  Formatter,
  FretHandFinger,
  GhostNote,
  ModifierPosition,
  Renderer,
  Stave,
  StaveConnector,
  StaveNote,
  StaveTie,
  Stem,
  TabNote,
  TabSlide,
  TabStave,
  TabTie,
  Tuplet,
  Voice,
  type RenderContext,
  type StemmableNote,
} from 'vexflow/bravura';
import type { Part, PartBar, PartEvent } from '../../api/client';
import {
  engraved,
  handMark,
  headroom,
  keyOf,
  middleLine,
  rowHeight,
  staffKey,
  wordsOf,
  type Engraved,
  type System,
  type Writing,
} from './systems';

/** Baseline of the chords' names. */
const CHORDS = 18;
const STAFF_TOP = 34;
const TAB_BELOW = 103;
const HAND_BELOW = 18;
const WORDS_BELOW = 37;

interface Written {
  note: Engraved;
  staff: StaveNote;
  tab: TabNote | StaveNote | GhostNote;
}

/** The sign for a bar like the one before, as music fonts number it, and its size. */
const AGAIN = '\uE500';
const AGAIN_SIZE = 30;
const AGAIN_HALF = 11;

/** A sign over a slash stands so much higher than over a head, clear of the staff. */
const OVER_A_SLASH = 11;

class OverSlash extends Articulation {
  override renderText(context: RenderContext, x: number, y: number) {
    super.renderText(context, x, y - OVER_A_SLASH);
  }
}

/** Draws a row of bars as staff and tab into an element, in place of what it held, so many times larger. */
export function engrave(
  element: HTMLDivElement,
  system: System,
  part: Part,
  scale: number,
  writing: Writing,
) {
  const inShort = writing === 'short';
  element.replaceChildren();
  const width = system.bars.reduce((sum, b) => sum + b.width, 0);
  const strings = part.tuning.length;
  const staffTop = STAFF_TOP + headroom(system);
  const height = rowHeight(system) + Math.max(0, strings - 6) * 13;
  const renderer = new Renderer(element, Renderer.Backends.SVG);
  renderer.resize((width + 4) * scale, height * scale);
  const context = renderer.getContext();
  context.scale(scale, scale);
  const words = getComputedStyle(element).fontFamily;
  let x = 1;
  let before: Written | null = null;
  const held: Written[] = [];
  system.bars.forEach(({ bar, width: wide, sign }, i) => {
    const stave = new Stave(x, staffTop, wide);
    const tabStave = new TabStave(x, staffTop + TAB_BELOW, wide, { numLines: strings });
    if (i === 0) {
      stave.addClef('treble', 'default', '8vb').addKeySignature(keyOf(part.fifths));
      tabStave.addClef('tab');
    }
    if (bar.number === 1 || bar.metre !== part.bars[bar.number - 2]?.metre) {
      stave.addTimeSignature(bar.metre);
    }
    const start = Math.max(stave.getNoteStartX(), tabStave.getNoteStartX());
    stave.setNoteStartX(start);
    tabStave.setNoteStartX(start);
    for (const one of [stave, tabStave]) {
      one.setContext(context).draw();
    }
    if (i === 0) {
      new StaveConnector(stave, tabStave).setType('singleLeft').setContext(context).draw();
    }
    new StaveConnector(stave, tabStave).setType('singleRight').setContext(context).draw();
    context.setFont(words, 9).fillText(String(bar.number), x + 2, staffTop + 24);

    if (sign) {
      context.setFont('Bravura', AGAIN_SIZE);
      context.fillText(AGAIN, x + wide / 2 - AGAIN_HALF, stave.getYForLine(2));
      context.setFont(words, 13);
      context.fillText(wordsOf(bar), x + 8, tabStave.getBottomLineY() + WORDS_BELOW);
      x += wide;
      before = null;
      return;
    }
    const slashes = inShort ? middleLine(part.fifths) : null;
    const written = engraved(bar.events).map((note) => write(note, strings, null, slashes));
    const tabVoice = soft(written.map((w) => w.tab));
    const voices = onStaff(bar, written, strings);
    const staffVoices = voices.map((notes) => soft(notes.map((n) => n.staff)));
    Accidental.applyAccidentals(staffVoices, keyOf(part.fifths));
    const beams = voices.flatMap((notes, voice) =>
      Beam.generateBeams(
        notes.map((n) => n.staff),
        {
          beamRests: false,
          groups: Beam.getDefaultBeamGroups(bar.metre),
          ...(voices.length > 1 ? { stemDirection: voice === 0 ? Stem.UP : Stem.DOWN } : {}),
        },
      ),
    );
    const tuplets = voices.flatMap(tripletsOf);
    new Formatter()
      .joinVoices(staffVoices)
      .joinVoices([tabVoice])
      .format([...staffVoices, tabVoice], Math.max(20, x + wide - start - 36));
    staffVoices.forEach((voice) => voice.draw(context, stave));
    tabVoice.draw(context, tabStave);
    beams.forEach((beam) => beam.setContext(context).draw());
    tuplets.forEach((tuplet) => tuplet.setContext(context).draw());
    context.setFont(words, 13, 'bold');
    for (const { note, tab } of written) {
      if (note.event.chord !== null && !note.tied) {
        context.fillText(note.event.chord, tab.getAbsoluteX(), CHORDS);
      }
    }
    context.setFont(words, 11);
    const handY = tabStave.getBottomLineY() + HAND_BELOW;
    for (const { note, tab } of written) {
      if (!note.tied) {
        context.fillText(handMark(note.event), tab.getAbsoluteX(), handY);
      }
    }
    context.setFont(words, 13);
    for (const { note, tab } of written) {
      if (note.event.words !== '' && !note.tied) {
        context.fillText(note.event.words, tab.getAbsoluteX(), tabStave.getBottomLineY() + WORDS_BELOW);
      }
    }
    const starts = written.filter((w) => !w.note.tied).map((w) => w.tab.getAbsoluteX());
    for (const { first, last } of bar.palmMuted) {
      drawPalm(context, starts[first] ?? 0, (starts[last] ?? 0) + 8, tabStave.getTopLineTopY() - 10);
    }
    for (const one of written) {
      joinOnString(before, one, (line) => line.setContext(context).draw());
      before = one;
    }
    voices.forEach((notes, voice) => {
      for (const one of notes) {
        tie(held[voice] ?? null, one, (line) => line.setContext(context).draw());
        held[voice] = one;
      }
    });
    held.length = voices.length;
    x += wide;
  });
  element.firstElementChild?.setAttribute('aria-hidden', 'true');
}

/** A voice of notes that may last longer or shorter than a bar. */
function soft(notes: StemmableNote[]): Voice {
  return new Voice({ numBeats: 4, beatValue: 4 }).setMode(Voice.Mode.SOFT).addTickables(notes);
}

/** The voices of the staff: the strokes, or a tune with its stems up and what is under it with its stems down. */
function onStaff(bar: PartBar, strokes: Written[], strings: number): Written[][] {
  return bar.voices.length === 0
    ? [strokes]
    : bar.voices.map((events, voice) =>
        engraved(events).map((note) =>
          write(note, strings, bar.voices.length < 2 ? null : voice === 0 ? Stem.UP : Stem.DOWN, null),
        ),
      );
}

/** @param slashes where strums stand that are slashes; null where all notes are written out */
function write(note: Engraved, strings: number, stem: number | null, slashes: string | null): Written {
  const { event } = note;
  const rest = event.notes.length === 0;
  const slash = event.slash ? slashes : null;
  const staff = new StaveNote({
    clef: 'treble',
    keys: rest ? ['b/4'] : slash ? [slash] : note.heads.map((n) => staffKey(n.written)),
    duration: note.duration,
    ...(event.weight === 'ghost' ? { type: 'x' } : slash ? { type: 's' } : {}),
    ...(stem === null ? { autoStem: true } : { stemDirection: stem }),
  });
  if (rest) {
    return { note, staff, tab: new StaveNote({ keys: ['b/4'], duration: note.duration }) };
  }
  const tab =
    slashes !== null && event.heard
      ? new GhostNote({ duration: note.duration })
      : new TabNote({
          positions: event.notes.map((n) => ({
            str: strings - n.string,
            fret: event.weight === 'ghost' ? 'x' : String(n.fret),
          })),
          duration: note.duration,
        });
  if (note.tied) {
    if (tab instanceof TabNote) {
      tab.setGhost(true);
    }
  } else {
    (slash ? [] : note.heads).forEach((n, index) => {
      if (n.fingered && n.left !== null) {
        staff.addModifier(new FretHandFinger(n.left), index);
      }
    });
    const away = staff.getStemDirection() === Stem.UP ? ModifierPosition.BELOW : ModifierPosition.ABOVE;
    for (const sign of articulations(event)) {
      staff.addModifier(new (slash ? OverSlash : Articulation)(sign).setPosition(away));
    }
  }
  if (note.dotted) {
    Dot.buildAndAttach([staff], { all: true });
    if (tab instanceof TabNote) {
      Dot.buildAndAttach([tab]);
    }
  }
  return { note, staff, tab };
}

/** The engraver's codes for what is over or under a note. */
function articulations(event: PartEvent): string[] {
  return [event.sound === 'cut' ? 'a.' : '', event.weight === 'accent' ? 'a>' : ''].filter(
    (sign) => sign !== '',
  );
}

/** Where the palm lies on the strings: a word and dashes over the tab. */
function drawPalm(context: RenderContext, from: number, to: number, y: number) {
  context.fillText('P.M.', from, y);
  context.save();
  context.setLineDash([3, 3]);
  context.beginPath();
  context.moveTo(from + 28, y - 4);
  context.lineTo(Math.max(from + 28, to), y - 4);
  context.stroke();
  context.restore();
}

/** Triplets that stand side by side, three at a time. */
function tripletsOf(written: Written[]): Tuplet[] {
  const tuplets: Tuplet[] = [];
  let group: StaveNote[] = [];
  for (const { note, staff } of written) {
    group = note.triplet ? [...group, staff] : [];
    if (group.length === 3) {
      tuplets.push(new Tuplet(group, { numNotes: 3, notesOccupied: 2 }));
      group = [];
    }
  }
  return tuplets;
}

type Line = StaveTie | TabTie | TabSlide;

/** The tie of a note held over; one that comes from the row before has only its end. */
function tie(before: Written | null, now: Written, draw: (line: Line) => void) {
  if (now.note.tied && now.note.event.notes.length > 0) {
    const all = now.staff.getKeys().map((_, i) => i);
    const first = before && before.note.event.notes.length > 0 ? { firstNote: before.staff } : {};
    draw(new StaveTie({ ...first, lastNote: now.staff, firstIndexes: all, lastIndexes: all }));
  }
}

/** What joins a note on a string to the one before. */
function joinOnString(before: Written | null, now: Written, draw: (line: Line) => void) {
  if (!before || before.note.event.notes.length === 0 || now.note.event.notes.length === 0 || now.note.tied) {
    return;
  }
  if (!(before.tab instanceof TabNote) || !(now.tab instanceof TabNote)) {
    return;
  }
  for (const [index, note] of now.note.event.notes.entries()) {
    const from = before.note.event.notes.findIndex((n) => n.string === note.string);
    if (from < 0 || note.technique === 'plucked') {
      continue;
    }
    const between = {
      firstNote: before.tab,
      lastNote: now.tab,
      firstIndexes: [from],
      lastIndexes: [index],
    };
    draw(
      note.technique === 'hammer-on'
        ? TabTie.createHammeron(between)
        : note.technique === 'pull-off'
          ? TabTie.createPulloff(between)
          : new TabSlide(between),
    );
  }
}
