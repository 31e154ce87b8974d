package underhand.format.score;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import underhand.chart.Bar;
import underhand.chart.Chart;
import underhand.chart.Metre;
import underhand.chart.Placement;
import underhand.chart.Section;
import underhand.chart.TuneNote;
import underhand.chord.ChordSymbol;
import underhand.input.FormatException;
import underhand.pitch.Key;
import underhand.pitch.Pitch;

/**
 * Reads a song from MusicXML or compressed MusicXML: chord symbols, the tune, the words of all verses, sections, metre
 * and key changes, repeats and endings written out, transposing parts as they sound. What is left out is said.
 */
final class MusicXmlReader {

    private static final double SAME = 1e-6;
    private static final int QUARTERS = 4;

    private final Set<String> dropped = new LinkedHashSet<>();

    private MusicXmlReader() {}

    public static boolean isXml(byte[] bytes) {
        String start = new String(bytes, 0, Math.min(bytes.length, 200), StandardCharsets.UTF_8)
                .replace("\uFEFF", "")
                .replace("\0", "")
                .stripLeading();
        return start.startsWith("<");
    }

    /** @throws FormatException saying why it cannot be read */
    public static ReadScore read(byte[] bytes) {
        return new MusicXmlReader().score(XmlNode.read(MxlFile.is(bytes) ? MxlFile.unpack(bytes) : bytes));
    }

    private ReadScore score(XmlNode root) {
        List<List<XmlNode>> parts = parts(root);
        if (parts.isEmpty()) {
            throw FormatException.inFile("This score has no parts, so there is nothing to read.", root.line(), 1);
        }
        List<XmlNode> withChords = parts.stream()
                .max(Comparator.comparingLong(MusicXmlReader::harmonies))
                .orElseThrow();
        boolean bare = harmonies(withChords) == 0;
        List<XmlNode> sung = parts.stream()
                .filter(MusicXmlReader::isSung)
                .findFirst()
                .or(() -> parts.stream().filter(p -> bare && hasNotes(p)).findFirst())
                .orElse(withChords);
        if (bare && !hasNotes(sung)) {
            throw FormatException.inFile(
                    "This score has neither chord symbols nor notes. Write chords above the staff or a tune on it, then"
                            + " save it again.",
                    root.line(),
                    1);
        }
        List<XmlNode> chords = bare ? sung : withChords;
        boolean tabOnly = !bare && isTab(root, sung);
        if (tabOnly) {
            dropped.add("the notes of the tab staff: grips are found anew");
        }
        if (parts.size() > 1) {
            dropped.add("the notes of " + (parts.size() - 1) + " further parts");
        }
        List<Measure> measures = measures(chords, chords == sung && !tabOnly);
        if (chords != sung) {
            withTune(measures, measures(sung, true));
        }
        return new ReadScore(chart(root, unrolled(measures)), List.copyOf(dropped));
    }

    /** Whether a part is on a tab staff: on that alone, or as this application writes it, below its notes. */
    private static boolean isTab(XmlNode root, List<XmlNode> part) {
        boolean isOurs = root.textAt("identification", "encoding", "software")
                .filter(MusicXmlWriter.SOFTWARE::equals)
                .isPresent();
        return part.stream()
                .flatMap(m -> m.all("attributes"))
                .flatMap(a -> a.all("clef").limit(isOurs ? MusicXmlWriter.STAVES : 1))
                .anyMatch(clef -> clef.textAt("sign").filter("TAB"::equals).isPresent());
    }

    /** The measures of every part, also of a score that is written measure by measure. */
    private static List<List<XmlNode>> parts(XmlNode root) {
        if (root.name().equals("score-partwise")) {
            return root.all("part")
                    .map(p -> p.all("measure").toList())
                    .filter(m -> !m.isEmpty())
                    .toList();
        }
        if (root.name().equals("score-timewise")) {
            Map<String, List<XmlNode>> parts = new LinkedHashMap<>();
            root.all("measure")
                    .flatMap(m -> m.all("part"))
                    .forEach(part -> parts.computeIfAbsent(part.attribute("id").orElse(""), id -> new ArrayList<>())
                            .add(part));
            return List.copyOf(parts.values());
        }
        throw FormatException.inFile(
                "This is XML, but no MusicXML score: it begins with <" + root.name() + ">.", root.line(), 1);
    }

    private static long harmonies(List<XmlNode> measures) {
        return measures.stream().mapToLong(m -> m.all("harmony").count()).sum();
    }

    private static boolean hasNotes(List<XmlNode> measures) {
        return measures.stream().flatMap(m -> m.all("note")).anyMatch(n -> n.has("pitch"));
    }

    private static boolean isSung(List<XmlNode> measures) {
        return measures.stream().flatMap(m -> m.all("note")).anyMatch(n -> n.has("lyric"));
    }

    private List<Measure> measures(List<XmlNode> nodes, boolean melody) {
        MeasureReader reader = new MeasureReader(dropped, melody);
        return nodes.stream().map(reader::read).toList();
    }

    private static void withTune(List<Measure> measures, List<Measure> sung) {
        for (int i = 0; i < Math.min(measures.size(), sung.size()); i++) {
            measures.get(i).tune.clear();
            measures.get(i).tune.addAll(sung.get(i).tune);
            measures.get(i).verses.clear();
            measures.get(i).verses.putAll(sung.get(i).verses);
        }
    }

    /** @param pass how often it is played by then: the verse that is sung */
    private record Played(Measure measure, int pass) {}

    /** The measures as they are played: repeats and endings written out. */
    private List<Played> unrolled(List<Measure> measures) {
        List<Played> played = new ArrayList<>();
        int from = 0;
        int pass = 1;
        int at = 0;
        while (at < measures.size()) {
            Measure measure = measures.get(at);
            if (measure.repeatForward && from != at) {
                from = at;
                pass = 1;
            }
            if (!measure.ending.isEmpty() && !measure.ending.contains(pass)) {
                at = afterEnding(measures, at);
                continue;
            }
            played.add(new Played(measure, pass));
            if (played.size() > Chart.MOST_PLACEMENTS) {
                throw FormatException.inFile(
                        "Written out, this score has more than " + Chart.MOST_PLACEMENTS + " bars.", 0, 0);
            }
            boolean again = measure.repeatBackward > 0 && pass < repeats(measures, from, at);
            if (again) {
                pass++;
                at = from;
            } else {
                if (measure.repeatBackward > 0) {
                    from = at + 1;
                    pass = 1;
                }
                at++;
            }
        }
        return played;
    }

    /** How often a repeat is played: as often as it says, or until its last ending. */
    private static int repeats(List<Measure> measures, int from, int at) {
        int most = measures.get(at).repeatBackward;
        for (int i = from; i <= at; i++) {
            most = Math.max(
                    most,
                    measures.get(i).ending.stream().mapToInt(n -> n + 1).max().orElse(0));
        }
        return Math.min(most, 8);
    }

    private static int afterEnding(List<Measure> measures, int at) {
        int next = at;
        while (next < measures.size() && !measures.get(next).endingStops && measures.get(next).repeatBackward == 0) {
            next++;
        }
        return next + 1;
    }

    private Chart chart(XmlNode root, List<Played> played) {
        List<Measure> measures = played.stream().map(Played::measure).toList();
        Verses verses = new Verses();
        List<Section> sections = new ArrayList<>();
        List<Bar> bars = new ArrayList<>();
        String name = "";
        Optional<Key> firstKey = measures.stream().flatMap(m -> m.key.stream()).findFirst();
        Optional<Key> key = firstKey;
        Optional<ChordSymbol> chord = Optional.empty();
        int placements = 0;
        for (int i = 0; i < measures.size(); i++) {
            Measure measure = measures.get(i);
            boolean newKey = measure.key.isPresent() && !measure.key.equals(key);
            if (measure.section.isPresent() || newKey) {
                if (!bars.isEmpty()) {
                    sections.add(new Section(name, key, bars).inPhrases());
                    bars = new ArrayList<>();
                    verses.endSection(name, i);
                }
                name = measure.section.orElse(name);
                key = newKey ? measure.key : key;
            }
            verses.add(measure, played.get(i).pass());
            Bar bar = bar(played.get(i), chord, i == 0);
            chord = bar.placements().get(bar.placements().size() - 1).chord();
            placements += bar.placements().size();
            bars.add(bar);
        }
        if (placements > Chart.MOST_PLACEMENTS) {
            throw FormatException.inFile(
                    "Written out, this score has " + placements + " chords; " + Chart.MOST_PLACEMENTS
                            + " are the most.",
                    0,
                    0);
        }
        sections.add(new Section(name, key, bars).inPhrases());
        verses.endSection(name, measures.size());
        Metre metre = measures.get(0).metre;
        double quartersABeat = 4.0 / metre.unit();
        OptionalInt tempo = measures.stream()
                .flatMap(m -> m.tempo.stream())
                .map(t -> (int) Math.round(t / quartersABeat))
                .filter(t -> t >= Chart.LOWEST_TEMPO && t <= Chart.HIGHEST_TEMPO)
                .mapToInt(Integer::intValue)
                .findFirst();
        String title = root.textAt("work", "work-title")
                .filter(t -> !t.isBlank())
                .or(() -> root.textAt("movement-title"))
                .orElse("")
                .replaceAll("\\s+", " ");
        return new Chart(
                title, firstKey, metre, tempo, OptionalInt.empty(), Optional.empty(), sections, verses.unsung());
    }

    private Bar bar(Played played, Optional<ChordSymbol> before, boolean first) {
        Measure measure = played.measure();
        List<Measure.Words> words = measure.words(played.pass());
        double unit = 4.0 / measure.metre.unit();
        int full = measure.metre.beats();
        int beats = full;
        if (first && (measure.implicit || measure.length < measure.fullLength() - SAME) && measure.length > 0) {
            beats = (int) Math.max(1, Math.min(full, Math.round(measure.length / unit)));
        } else if (measure.length > 0 && measure.length < measure.fullLength() - SAME) {
            dropped.add("nothing, but bars that are shorter than their metre were filled up");
        } else if (measure.length > measure.fullLength() + SAME) {
            dropped.add("what stands in a bar after its metre is full");
        }
        List<Measure.Harmony> starts = starts(measure, before, unit, beats);
        int start = full - beats;
        List<Placement> placements = new ArrayList<>();
        for (int i = 0; i < starts.size(); i++) {
            double from = starts.get(i).at();
            double until = i + 1 < starts.size() ? starts.get(i + 1).at() : beats;
            placements.add(new Placement(
                    starts.get(i).chord(),
                    1 + start + from,
                    until - from,
                    lyric(words, from * unit, i == starts.size() - 1 ? Double.MAX_VALUE : until * unit),
                    tune(measure, from, until, unit)));
        }
        return new Bar(measure.metre, placements);
    }

    /** Where the chords of a bar begin, in beats: on quarters of beats, or sharing the bar evenly. */
    private List<Measure.Harmony> starts(Measure measure, Optional<ChordSymbol> before, double unit, int beats) {
        List<Measure.Harmony> exact = new ArrayList<>();
        for (Measure.Harmony harmony : measure.harmonies) {
            double at = harmony.at() / unit;
            if (at < beats - SAME) {
                exact.removeIf(h -> Math.abs(h.at() - at) < SAME);
                exact.add(new Measure.Harmony(at, harmony.chord()));
            }
        }
        exact.sort(Comparator.comparingDouble(Measure.Harmony::at));
        if (exact.isEmpty() || exact.get(0).at() > SAME) {
            exact.add(0, new Measure.Harmony(0, before));
        }
        double each = (double) beats / exact.size();
        boolean even = true;
        boolean whole = true;
        for (int i = 0; i < exact.size(); i++) {
            even &= Math.abs(exact.get(i).at() - i * each) < SAME;
            double quarter = exact.get(i).at() * QUARTERS;
            whole &= Math.abs(quarter - Math.rint(quarter)) < SAME;
        }
        if (even || whole) {
            return exact;
        }
        dropped.add(
                "the exact place of chords that begin between quarters of a beat: they were moved to the nearest beat");
        List<Measure.Harmony> rounded = new ArrayList<>();
        for (Measure.Harmony harmony : exact) {
            double at = Math.min(beats - 1.0, Math.rint(harmony.at()));
            rounded.removeIf(h -> h.at() >= at);
            rounded.add(new Measure.Harmony(at, harmony.chord()));
        }
        return rounded;
    }

    /** The words sung from one place to another, with a hyphen where the last of them goes on. */
    private static String lyric(List<Measure.Words> sung, double from, double until) {
        StringBuilder text = new StringBuilder();
        boolean goesOn = false;
        for (Measure.Words words : sung) {
            if (words.at() >= from - SAME && words.at() < until - SAME) {
                text.append(words.text());
                goesOn = words.goesOn();
            }
        }
        text.append(goesOn ? "-" : "");
        return text.toString().strip().replaceAll("\\s+", " ");
    }

    private static List<TuneNote> tune(Measure measure, double from, double until, double unit) {
        List<TuneNote> notes = new ArrayList<>();
        for (Measure.Sung sung : measure.tune) {
            double begins = Math.max(from, sung.at() / unit);
            double ends = Math.min(until, (sung.at() + sung.length()) / unit);
            if (ends - begins > SAME) {
                boolean tied = sung.tied() || sung.at() / unit < from - SAME;
                notes.add(new TuneNote(Pitch.ofMidi(sung.midi()), begins - from, ends - begins, tied));
            }
        }
        return notes;
    }
}
