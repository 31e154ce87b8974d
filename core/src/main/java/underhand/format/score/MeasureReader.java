package underhand.format.score;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import underhand.chart.Metre;
import underhand.chord.ChordSymbol;
import underhand.chord.ChordType;
import underhand.format.score.ChordKinds.ChordDegree;
import underhand.pitch.Key;
import underhand.pitch.Letter;
import underhand.pitch.Mode;
import underhand.pitch.Note;

/** Reads the measures of one part of a score one after the other, keeping what holds on from one to the next. */
final class MeasureReader {

    /** Times a passage is played at most, and endings it has. */
    private static final int MOST_ENDINGS = 8;

    private static final int MOST_VERSES = 12;
    private static final int C4 = 60;
    private static final int HIGHEST_MIDI = 127;

    private final Set<String> dropped;
    private final boolean melody;
    private double divisions;
    private Metre metre = Metre.COMMON;
    private Optional<Key> key = Optional.empty();
    private int transpose;
    private Optional<String> voice = Optional.empty();

    /** Verses in the middle of a word. */
    private final Set<Integer> inWord = new HashSet<>();

    /** @param melody whether the notes of this part are the tune */
    MeasureReader(Set<String> dropped, boolean melody) {
        this.dropped = dropped;
        this.melody = melody;
    }

    Measure read(XmlNode node) {
        Measure measure = new Measure();
        measure.implicit = node.attribute("implicit").filter("yes"::equals).isPresent();
        double at = 0;
        double before = 0;
        for (XmlNode child : node.children()) {
            switch (child.name()) {
                case "attributes" -> attributes(child);
                case "backup" -> at = Math.max(0, at - quarters(child));
                case "forward" -> at += quarters(child);
                case "harmony" -> harmony(child, at, measure);
                case "direction" -> direction(child, measure);
                case "sound" -> sound(child, measure);
                case "barline" -> barline(child, measure);
                case "note" -> {
                    if (child.has("grace") || child.has("cue")) {
                        dropped.add("grace and cue notes");
                        continue;
                    }
                    double length = quarters(child);
                    boolean chord = child.has("chord");
                    note(child, chord ? before : at, length, chord, measure);
                    if (!chord) {
                        before = at;
                        at += length;
                    }
                }
                default -> {
                    // print, listening and other marks say nothing of the music
                }
            }
            measure.length = Math.max(measure.length, at);
        }
        measure.metre = metre;
        measure.key = key;
        return measure;
    }

    private double quarters(XmlNode node) {
        double duration =
                node.textAt("duration").flatMap(MeasureReader::decimal).orElse(0.0);
        if (divisions == 0) {
            divisions = 1;
            dropped.add("nothing, but the score does not say its divisions: a quarter was taken to last 1");
        }
        return Math.max(0, duration / divisions);
    }

    private static Optional<Double> decimal(String text) {
        try {
            double value = Double.parseDouble(text);
            return Double.isFinite(value) ? Optional.of(value) : Optional.empty();
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }

    private void attributes(XmlNode node) {
        node.textAt("divisions")
                .flatMap(MeasureReader::decimal)
                .filter(d -> d > 0)
                .ifPresent(d -> divisions = d);
        node.first("time").ifPresent(time -> {
            try {
                metre = new Metre(
                        Arrays.stream(time.textAt("beats").orElse("").split("\\+"))
                                .mapToInt(b -> Integer.parseInt(b.strip()))
                                .sum(),
                        time.numberAt("beat-type").orElse(4));
            } catch (IllegalArgumentException e) {
                dropped.add(
                        "a metre that is not read here (" + time.textAt("beats").orElse("none") + "/"
                                + time.textAt("beat-type").orElse("none") + ")");
            }
        });
        node.first("transpose")
                .ifPresent(t -> transpose = t.numberAt("chromatic").orElse(0)
                        + 12 * t.numberAt("octave-change").orElse(0));
        node.numberAt("key", "fifths").filter(f -> Math.abs(f) <= 7).ifPresent(fifths -> {
            boolean minor = node.textAt("key", "mode").filter("minor"::equals).isPresent();
            int tonic = Math.floorMod(fifths * 7 + (minor ? 9 : 0) + transpose, 12);
            key = Optional.of(Key.on(tonic, minor ? Mode.MINOR : Mode.MAJOR));
        });
    }

    private void harmony(XmlNode node, double at, Measure measure) {
        double offset = node.textAt("offset").flatMap(MeasureReader::decimal).orElse(0.0);
        double place = Math.max(0, at + (divisions > 0 ? offset / divisions : 0));
        String kind = node.textAt("kind").orElse("");
        if (kind.equals("none")) {
            measure.harmonies.add(new Measure.Harmony(place, Optional.empty()));
            return;
        }
        Optional<Note> root = note(node, "root", "root-step", "root-alter");
        if (root.isEmpty()) {
            dropped.add("chords named by their function or number instead of a root");
            return;
        }
        List<ChordDegree> degrees = new ArrayList<>();
        node.all("degree")
                .forEach(d -> degrees.add(new ChordDegree(
                        d.numberAt("degree-value").orElse(0),
                        d.numberAt("degree-alter").orElse(0),
                        d.textAt("degree-type").orElse("add"))));
        String text = node.first("kind").flatMap(k -> k.attribute("text")).orElse("");
        Optional<ChordType> type = ChordKinds.type(kind, text, degrees);
        if (type.isEmpty()) {
            dropped.add("what the chord kind \"" + kind + "\" adds: its root alone was kept");
        }
        Optional<Note> bass = note(node, "bass", "bass-step", "bass-alter");
        ChordSymbol chord =
                new ChordSymbol(root.get(), type.orElse(ChordSymbol.parse("C").type()), bass);
        measure.harmonies.add(new Measure.Harmony(place, Optional.of(sounding(chord))));
    }

    private ChordSymbol sounding(ChordSymbol chord) {
        if (Math.floorMod(transpose, 12) == 0) {
            return chord;
        }
        Key spelling =
                key.orElseGet(() -> Key.on(Math.floorMod(chord.root().pitchClass() + transpose, 12), Mode.MAJOR));
        return chord.transpose(transpose, spelling);
    }

    private static Optional<Note> note(XmlNode node, String element, String step, String alter) {
        Optional<String> letter = node.textAt(element, step).filter(s -> s.matches("[A-G]"));
        int alteration = node.numberAt(element, alter).orElse(0);
        return letter.filter(l -> Math.abs(alteration) <= 2).map(l -> new Note(Letter.valueOf(l), alteration));
    }

    private void note(XmlNode node, double at, double length, boolean chord, Measure measure) {
        node.all("lyric").forEach(lyric -> words(lyric, at, measure));
        if (!melody || node.has("rest") || length <= 0) {
            return;
        }
        String its = node.textAt("voice").orElse("1");
        if (voice.isEmpty()) {
            voice = Optional.of(its);
        }
        Optional<String> step = node.textAt("pitch", "step").filter(s -> s.matches("[A-G]"));
        if (step.isEmpty()) {
            dropped.add("notes without a pitch");
            return;
        }
        if (!voice.get().equals(its)
                || node.textAt("staff").filter(s -> !s.equals("1")).isPresent()) {
            dropped.add("voices and staves below the first");
            return;
        }
        int midi = C4
                + Letter.valueOf(step.get()).semitones()
                + node.numberAt("pitch", "alter").orElse(0)
                + 12 * (node.numberAt("pitch", "octave").orElse(4) - 4)
                + transpose;
        if (midi < 0 || midi > HIGHEST_MIDI) {
            dropped.add("notes out of all range");
            return;
        }
        sung(node, new Measure.Sung(at, length, midi, isTied(node)), chord, measure);
    }

    private void sung(XmlNode node, Measure.Sung note, boolean chord, Measure measure) {
        int last = measure.tune.size() - 1;
        if (chord && last >= 0) {
            dropped.add("the lower notes of chords in the tune");
            if (note.midi() > measure.tune.get(last).midi()) {
                measure.tune.set(last, note);
            }
        } else if (note.tied() && last >= 0 && measure.tune.get(last).midi() == note.midi()) {
            Measure.Sung held = measure.tune.get(last);
            measure.tune.set(
                    last, new Measure.Sung(held.at(), held.length() + note.length(), held.midi(), held.tied()));
        } else {
            measure.tune.add(note);
        }
    }

    private static boolean isTied(XmlNode note) {
        return note.all("tie")
                .anyMatch(t -> t.attribute("type").filter("stop"::equals).isPresent());
    }

    /** A syllable of a verse; two that are sung on one note stand as they are spoken. */
    private void words(XmlNode lyric, double at, Measure measure) {
        int verse = lyric.attribute("number").flatMap(XmlNode::number).orElse(1);
        if (verse < 1 || verse > MOST_VERSES) {
            dropped.add("words under numbers that are no verses");
            return;
        }
        String syllable = lyric.all("text")
                .map(XmlNode::text)
                .collect(Collectors.joining(" "))
                .replaceAll("[\\[\\]|]", "");
        String syllabic = lyric.textAt("syllabic").orElse("single");
        if (!syllable.isBlank()) {
            boolean joined = inWord.contains(verse) && (syllabic.equals("middle") || syllabic.equals("end"));
            boolean goesOn = syllabic.equals("begin") || syllabic.equals("middle");
            measure.verses
                    .computeIfAbsent(verse, v -> new ArrayList<>())
                    .add(new Measure.Words(at, (joined ? "" : " ") + syllable, goesOn));
        }
        if (syllabic.equals("begin") || syllabic.equals("middle")) {
            inWord.add(verse);
        } else {
            inWord.remove(verse);
        }
    }

    private void direction(XmlNode node, Measure measure) {
        node.first("sound").ifPresent(s -> sound(s, measure));
        node.all("direction-type").forEach(type -> {
            type.textAt("rehearsal").filter(r -> !r.isBlank()).ifPresent(r -> measure.section = Optional.of(r));
            if (measure.tempo.isEmpty()) {
                type.textAt("metronome", "per-minute")
                        .flatMap(MeasureReader::decimal)
                        .ifPresent(perMinute -> {
                            String unit = type.textAt("metronome", "beat-unit").orElse("quarter");
                            double quarters = switch (unit) {
                                case "half" -> 2;
                                case "eighth" -> 0.5;
                                default -> 1;
                            };
                            boolean dotted = type.first("metronome").get().has("beat-unit-dot");
                            measure.tempo = Optional.of(perMinute * quarters * (dotted ? 1.5 : 1));
                        });
            }
            if (type.has("segno") || type.has("coda")) {
                dropped.add("jumps to a sign or a coda: the song goes straight on");
            }
        });
    }

    private void sound(XmlNode node, Measure measure) {
        node.attribute("tempo").flatMap(MeasureReader::decimal).ifPresent(t -> measure.tempo = Optional.of(t));
        for (String jump : List.of("dacapo", "dalsegno", "tocoda", "fine")) {
            if (node.attribute(jump).isPresent()) {
                dropped.add("jumps to a sign or a coda: the song goes straight on");
            }
        }
    }

    private void barline(XmlNode node, Measure measure) {
        node.first("repeat").ifPresent(repeat -> {
            if (repeat.attribute("direction").filter("forward"::equals).isPresent()) {
                measure.repeatForward = true;
            } else {
                measure.repeatBackward = Math.max(
                        2,
                        Math.min(
                                MOST_ENDINGS,
                                repeat.attribute("times")
                                        .flatMap(XmlNode::number)
                                        .orElse(2)));
            }
        });
        node.first("ending").ifPresent(ending -> {
            if (ending.attribute("type").filter("start"::equals).isPresent()) {
                measure.ending = Arrays.stream(
                                ending.attribute("number").orElse("1").split("[,\\s]+"))
                        .flatMap(n -> XmlNode.number(n).stream())
                        .filter(n -> n >= 1 && n <= MOST_ENDINGS)
                        .toList();
            } else {
                measure.endingStops = true;
            }
        });
    }
}
