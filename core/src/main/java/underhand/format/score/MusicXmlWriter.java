package underhand.format.score;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import underhand.chart.Chart;
import underhand.chart.Metre;
import underhand.chord.ChordSymbol;
import underhand.part.Notation;
import underhand.part.Notation.Event;
import underhand.part.NoteValue;
import underhand.part.PartBar;
import underhand.part.PlayedNote;
import underhand.part.Spelling;
import underhand.picking.Step.Sound;
import underhand.picking.Step.Weight;
import underhand.pitch.Key;
import underhand.pitch.Mode;
import underhand.pitch.Pitch;
import underhand.pitch.SpelledPitch;
import underhand.solve.PlacedGrip;

/**
 * Writes MusicXML 4.0 (W3C Music Notation Community Group, 2021), score-partwise: for each guitar a staff of notes, an
 * octave above their sound as guitars are written, and a tab staff with its tuning and capo, pitches as they sound, frets from the capo, fingers of both hands, chord symbols as they sound, words and
 * sections.
 */
final class MusicXmlWriter {

    /** Velocity that 100 percent of dynamics are (MusicXML 4.0, attribute dynamics). */
    private static final int FORTE = 90;

    /** Notes above, tab below. */
    static final int STAVES = 2;

    /** Who wrote it: what is read again is known by it. */
    static final String SOFTWARE = "Underhand";

    private static final int VOICES_A_STAFF = 4;

    private static final Map<Integer, String> TYPES =
            Map.of(1, "whole", 2, "half", 4, "quarter", 8, "eighth", 16, "16th", 32, "32nd");

    private final XmlText xml;
    private final ScoredPart scored;
    private final Spelling spelling;
    private final int strings;
    private final Dynamics dynamics;
    private final MusicXmlSigns signs;
    private int bar;

    /** The staff that is written: 1 for the notes, 2 for the tab. */
    private int staff;

    /** The voice that is written, from 1, and whether its bar has another. */
    private int voice;

    private boolean hasTwoVoices;
    private Metre metre;
    private Key key;
    private boolean swing;

    /** The key of each bar: of its section where the chart states one, else of the song. */
    private final Map<Integer, Key> keys = new HashMap<>();

    private MusicXmlWriter(XmlText xml, ScoredPart scored) {
        this.xml = xml;
        this.scored = scored;
        this.spelling = Spelling.sounding(scored.part());
        this.strings = scored.tuning().strings().size();
        this.dynamics = new Dynamics(scored.part());
        this.signs = new MusicXmlSigns(xml, strings);
        for (PlacedGrip placed : scored.part().arrangement().placements()) {
            keys.put(placed.slot().bar(), placed.slot().key().orElse(scored.key()));
        }
    }

    /** @param parts of one song, the first guitar first */
    public static String write(String title, List<ScoredPart> parts) {
        XmlText xml = new XmlText();
        xml.open("score-partwise", "version", "4.0");
        xml.open("work").element("work-title", title).close();
        xml.open("identification").open("encoding").element("software", SOFTWARE);
        xml.close().close();
        xml.open("part-list");
        for (int i = 0; i < parts.size(); i++) {
            xml.open("score-part", "id", "P" + (i + 1));
            xml.element("part-name", parts.get(i).name()).close();
        }
        xml.close();
        for (int i = 0; i < parts.size(); i++) {
            xml.open("part", "id", "P" + (i + 1));
            new MusicXmlWriter(xml, parts.get(i)).bars();
            xml.close();
        }
        xml.close();
        return xml.toString();
    }

    private void bars() {
        List<Notation.WrittenBar> bars = Notation.of(scored.part());
        for (int i = 0; i < bars.size(); i++) {
            Notation.WrittenBar written = bars.get(i);
            PartBar bar = written.bar();
            boolean pickUp = i == 0 && bar.beats() < bar.metre().beats();
            if (pickUp) {
                xml.open("measure", "number", 0, "implicit", "yes");
            } else {
                xml.open("measure", "number", bar.number());
            }
            this.bar = bar.number();
            attributes(bar, i == 0);
            scored.wordsBefore(bar.number()).forEach(this::spoken);
            bar.section().filter(s -> !s.isBlank()).ifPresent(this::rehearsal);
            if (bar.swing() != swing) {
                swing(bar.swing());
            }
            hasTwoVoices = written.voices().size() > 1;
            for (staff = 1; staff <= STAVES; staff++) {
                for (voice = 1; voice <= written.voices().size(); voice++) {
                    if (staff > 1 || voice > 1) {
                        xml.open("backup").element("duration", written.length()).close();
                    }
                    List<Event> events = withNext(bars, i, voice - 1);
                    for (int at = 0; at < written.voices().get(voice - 1).size(); at++) {
                        event(events, at);
                    }
                }
            }
            if (i == bars.size() - 1) {
                scored.wordsAfter().forEach(this::spoken);
                xml.open("barline", "location", "right")
                        .element("bar-style", "light-heavy")
                        .close();
            }
            xml.close();
        }
    }

    /** The events of a bar and the first of the next: a slide may go over the bar line. */
    private static List<Event> withNext(List<Notation.WrittenBar> bars, int bar, int voice) {
        List<Event> events = new ArrayList<>(bars.get(bar).voices().get(voice));
        if (bar + 1 < bars.size()) {
            bars.get(bar + 1).voices().stream().skip(voice).findFirst().ifPresent(next -> events.add(next.get(0)));
        }
        return events;
    }

    private void attributes(PartBar bar, boolean first) {
        Key here = keys.getOrDefault(bar.number(), first ? scored.key() : key);
        boolean newMetre = !bar.metre().equals(metre);
        if (!newMetre && here.equals(key)) {
            return;
        }
        xml.open("attributes");
        if (first) {
            xml.element("divisions", NoteValue.PER_QUARTER);
        }
        if (!here.equals(key)) {
            xml.open("key").element("fifths", here.fifths());
            xml.element("mode", here.mode() == Mode.MAJOR ? "major" : "minor").close();
        }
        if (newMetre) {
            xml.open("time").element("beats", bar.metre().beats());
            xml.element("beat-type", bar.metre().unit()).close();
        }
        if (first) {
            xml.element("staves", STAVES);
            xml.open("clef", "number", 1).element("sign", "G").element("line", 2);
            xml.element("clef-octave-change", -1).close();
            xml.open("clef", "number", STAVES)
                    .element("sign", "TAB")
                    .element("line", 5)
                    .close();
            tuning();
        }
        xml.close();
        metre = bar.metre();
        key = here;
        if (first) {
            tempo(bar);
        }
    }

    private boolean isTab() {
        return staff == STAVES;
    }

    /** Number of the voice in its measure: those of the two staves apart. */
    private int voiceNumber() {
        return (staff - 1) * VOICES_A_STAFF + voice;
    }

    private void tuning() {
        xml.open("staff-details", "number", STAVES).element("staff-lines", strings);
        List<Pitch> open = scored.tuning().strings();
        for (int string = 0; string < strings; string++) {
            SpelledPitch pitch = scored.key().spellPitch(open.get(string).midi());
            xml.open("staff-tuning", "line", string + 1)
                    .element("tuning-step", pitch.note().letter());
            if (pitch.note().alteration() != 0) {
                xml.element("tuning-alter", pitch.note().alteration());
            }
            xml.element("tuning-octave", pitch.octave()).close();
        }
        if (scored.capo() > 0) {
            xml.element("capo", scored.capo());
        }
        xml.close();
    }

    private void tempo(PartBar bar) {
        int tempo = scored.part().arrangement().tempo();
        xml.open("direction", "placement", "above").open("direction-type").open("metronome");
        xml.element("beat-unit", TYPES.get(bar.metre().unit())).element("per-minute", tempo);
        xml.close().close();
        double quarters = tempo * bar.quartersABeat();
        xml.empty("sound", "tempo", quarters == Math.rint(quarters) ? (Object) Math.round(quarters) : quarters);
        xml.close();
    }

    /** From here on the first of two eighths is twice as long as the second, or as long again. */
    private void swing(boolean on) {
        swing = on;
        xml.open("direction", "placement", "above").open("direction-type");
        xml.element("words", on ? "swing" : "straight").close();
        xml.open("sound").open("swing");
        if (on) {
            xml.element("first", 2).element("second", 1).element("swing-type", "eighth");
        } else {
            xml.empty("straight");
        }
        xml.close().close().close();
    }

    /** Words that have no notes. */
    private void spoken(Chart.Words words) {
        words.heading().ifPresent(this::rehearsal);
        for (String line : words.lines()) {
            xml.open("direction", "placement", "below").open("direction-type");
            xml.element("words", line).close().close();
        }
    }

    private void rehearsal(String section) {
        xml.open("direction", "placement", "above").open("direction-type");
        xml.element("rehearsal", section).close().close();
    }

    private void event(List<Event> events, int at) {
        Event event = events.get(at);
        if (event.begins() && !isTab()) {
            harmony(scored.part().arrangement().placements().get(event.place()));
        }
        for (int value = 0; value < event.values().size(); value++) {
            NoteValue length = event.values().get(value);
            if (event.notes().isEmpty()) {
                xml.open("note")
                        .empty("rest")
                        .element("duration", length.length())
                        .element("voice", voiceNumber());
                type(length);
                xml.element("staff", staff).close();
                continue;
            }
            for (int i = 0; i < event.notes().size(); i++) {
                boolean words = event.begins() && value == 0 && i == 0 && !isTab();
                note(events, at, value, i, words);
            }
        }
    }

    private void harmony(PlacedGrip place) {
        ChordSymbol chord = place.segment().chord().orElseThrow();
        ChordKinds.Kind kind = ChordKinds.of(chord.type());
        xml.open("harmony").open("root").element("root-step", chord.root().letter());
        if (chord.root().alteration() != 0) {
            xml.element("root-alter", chord.root().alteration());
        }
        xml.close().element("kind", kind.kind(), "text", chord.type().glyphs());
        chord.bass().ifPresent(bass -> {
            xml.open("bass").element("bass-step", bass.letter());
            if (bass.alteration() != 0) {
                xml.element("bass-alter", bass.alteration());
            }
            xml.close();
        });
        for (ChordKinds.ChordDegree degree : kind.degrees()) {
            xml.open("degree").element("degree-value", degree.value()).element("degree-alter", degree.alter());
            xml.element("degree-type", degree.type()).close();
        }
        GripFrameXml.write(xml, place.grip().orElseThrow().grip());
        xml.close();
    }

    private void note(List<Event> events, int at, int value, int index, boolean words) {
        Event event = events.get(at);
        PlayedNote note = event.notes().get(index);
        NoteValue length = event.values().get(value);
        boolean tiedFrom = value > 0 || event.fromBefore();
        boolean tiedTo = value < event.values().size() - 1 || event.intoNext();
        OptionalInt velocity = dynamics.velocity(bar, event.from(), note.string());
        if (velocity.isPresent()) {
            xml.open("note", "dynamics", Math.round(velocity.getAsInt() * 100.0 / FORTE));
        } else {
            xml.open("note");
        }
        if (index > 0) {
            xml.empty("chord");
        }
        pitch(spelling.of(note, event.place()));
        xml.element("duration", length.length());
        if (tiedFrom) {
            xml.empty("tie", "type", "stop");
        }
        if (tiedTo) {
            xml.empty("tie", "type", "start");
        }
        xml.element("voice", voiceNumber());
        type(length);
        if (hasTwoVoices) {
            xml.element("stem", voice == 1 ? "up" : "down");
        }
        if (event.weight() == Weight.GHOST) {
            xml.element("notehead", "x");
        }
        xml.element("staff", staff);
        xml.open("notations");
        if (tiedFrom) {
            xml.empty("tied", "type", "stop");
        }
        if (tiedTo) {
            xml.empty("tied", "type", "start");
        }
        signs.slide(events, at, note, tiedFrom, tiedTo);
        if (isTab()) {
            signs.technical(events, at, note, index, tiedFrom);
        } else if (index == 0 && !tiedFrom) {
            signs.articulations(event);
        }
        xml.close();
        if (words) {
            words(event.place());
        }
        if (event.sound() == Sound.PALM_MUTE) {
            xml.open("play").element("mute", "palm").close();
        }
        xml.close();
    }

    private void words(int place) {
        PlacedGrip placed = scored.part().arrangement().placements().get(place);
        String lyric = placed.slot().placement().lyric().strip();
        if (placed.segment().part() == 0 && !lyric.isEmpty()) {
            xml.open("lyric", "number", 1)
                    .element("syllabic", "single")
                    .element("text", lyric)
                    .close();
        }
    }

    private void pitch(SpelledPitch pitch) {
        xml.open("pitch").element("step", pitch.note().letter());
        if (pitch.note().alteration() != 0) {
            xml.element("alter", pitch.note().alteration());
        }
        xml.element("octave", pitch.octave()).close();
    }

    private void type(NoteValue value) {
        xml.element("type", TYPES.get(value.type()));
        if (value.dotted()) {
            xml.empty("dot");
        }
        if (value.triplet()) {
            xml.open("time-modification")
                    .element("actual-notes", 3)
                    .element("normal-notes", 2)
                    .close();
        }
    }
}
