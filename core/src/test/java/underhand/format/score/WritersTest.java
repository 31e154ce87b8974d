package underhand.format.score;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import jakarta.xml.bind.JAXBElement;
import java.io.ByteArrayInputStream;
import java.math.BigInteger;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.sound.midi.MetaMessage;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.Sequence;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import org.audiveris.proxymusic.Attributes;
import org.audiveris.proxymusic.Fingering;
import org.audiveris.proxymusic.Fret;
import org.audiveris.proxymusic.HammerOnPullOff;
import org.audiveris.proxymusic.Notations;
import org.audiveris.proxymusic.Note;
import org.audiveris.proxymusic.ScorePartwise;
import org.audiveris.proxymusic.Slide;
import org.audiveris.proxymusic.StartStop;
import org.audiveris.proxymusic.Technical;
import org.audiveris.proxymusic.util.Marshalling;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import underhand.arrange.Arrangement;
import underhand.arrange.Arranger;
import underhand.chart.Chart;
import underhand.chart.Placement;
import underhand.fill.Fill;
import underhand.fill.Fills;
import underhand.fill.Technique;
import underhand.format.text.ChartTextReader;
import underhand.format.text.ChartTextWriter;
import underhand.part.Notation;
import underhand.part.Part;
import underhand.part.PlayedNote;
import underhand.part.Strike;
import underhand.picking.PatternPlan;
import underhand.picking.Patterns;
import underhand.settings.ArrangementSettings;

/** What is written, read back by other hands: the same notes, the same ticks, the same fingers. */
class WritersTest {

    static final String SONG = """
            title: Salt & Rope
            key: G
            tempo: 84

            [Verse]
            | G . Em . | C | D7/F# |
              Row       on  my "dear"
            | G6/9 | Cmaj7#11 . Bm7b5 . | Em | D |
            """;
    private static final String WALTZ = "title: Round\nkey: Bb\nmetre: 3/4\ntempo: 120\n| Bb | Eb | F7 | Bb |";
    private static final String SIX = "title: Six\nkey: Am\nmetre: 6/8\ntempo: 180\n| Am | Dm | E7 | Am |";
    private static final String PICK_UP = "key: D\ntempo: 90\n| A7 |\n| D | G | A7 | D |";

    private static final String SLID = "key: C\ntempo: 60\n| F#m7 | Gm7 | C |";

    private static final Map<Case, ScoredPart> KNOWN = new HashMap<>();

    /** A song with its pattern, rung and capo. */
    record Case(String song, String pattern, int rung, int capo) {

        ScoredPart scored() {
            return KNOWN.computeIfAbsent(this, Case::arranged);
        }

        private ScoredPart arranged() {
            Chart chart = ChartTextReader.read(song).chart();
            ArrangementSettings settings = ArrangementSettings.ofRung(rung)
                    .withCapo(capo)
                    .withPatterns(Patterns.of(pattern).map(PatternPlan::of).orElse(PatternPlan.OPEN));
            Arrangement arrangement = new Arranger().arrange(chart, settings);
            Fills fills = new Fills(arrangement);
            List<Fill> chosen = new ArrayList<>();
            arrangement.placements().forEach(p -> {
                List<Fill> here = fills.at(p.index()).fills();
                if (!here.isEmpty()) {
                    chosen.add(here.get(p.index() % here.size()));
                }
            });
            Part part = Part.of(arrangement, chosen);
            return new ScoredPart("Guitar", part, settings.tuning(), false, Handedness.RIGHT);
        }
    }

    static Stream<Case> cases() {
        return Stream.of(
                new Case(SONG, "arpeggio-up", 4, 0),
                new Case(SONG, "folk-strum", 3, 2),
                new Case(SONG, "funk-sixteenths", 5, 0),
                new Case(WALTZ, "waltz-bass", 2, 3),
                new Case(SIX, "six-roll", 4, 0),
                new Case(PICK_UP, "none", 1, 0),
                new Case(SLID, "folk-strum", 4, 1),
                new Case(SONG, "swing-thumb", 4, 1));
    }

    /** Staves of a guitar: its notes, and its tab. */
    static final int NOTES = 1;

    static final int TAB = 2;

    static boolean isOn(int staff, Note note) {
        return note.getStaff().intValue() == staff;
    }

    /** The notes of a score as ProxyMusic reads it: midi, string, fret, fingers, duration. */
    private static List<String> proxyNotes(String musicXml) throws Exception {
        ScorePartwise score = (ScorePartwise)
                Marshalling.unmarshal(new ByteArrayInputStream(musicXml.getBytes(StandardCharsets.UTF_8)));
        List<String> found = new ArrayList<>();
        for (ScorePartwise.Part.Measure measure : score.getPart().get(0).getMeasure()) {
            for (Object item : measure.getNoteOrBackupOrForward()) {
                if (item instanceof Note note && note.getPitch() != null && isOn(TAB, note)) {
                    boolean held = note.getTie().stream()
                            .anyMatch(t -> t.getType().value().equals("stop"));
                    if (!held) {
                        found.add(proxyNote(note));
                    }
                }
            }
        }
        return found;
    }

    private static String proxyNote(Note note) {
        int step = List.of(0, 2, 4, 5, 7, 9, 11)
                .get("CDEFGAB".indexOf(note.getPitch().getStep().value()));
        int alter = note.getPitch().getAlter() == null
                ? 0
                : note.getPitch().getAlter().intValue();
        int midi = 12 * (note.getPitch().getOctave() + 1) + step + alter;
        int string = 0;
        int fret = -1;
        String left = "-";
        String right = "-";
        String technique = "";
        for (Notations notations : note.getNotations()) {
            for (Object mark : notations.getTiedOrSlurOrTuplet()) {
                if (mark instanceof Slide slide && slide.getType() == StartStop.STOP) {
                    technique = " slide";
                }
                if (mark instanceof Technical technical) {
                    for (JAXBElement<?> element : technical.getUpBowOrDownBowOrHarmonic()) {
                        Object value = element.getValue();
                        if (value instanceof org.audiveris.proxymusic.String named) {
                            string = named.getValue().intValue();
                        } else if (value instanceof Fret at) {
                            fret = at.getValue().intValue();
                        } else if (value instanceof Fingering fingering) {
                            left = fingering.getValue();
                        } else if (value instanceof HammerOnPullOff both && both.getType() == StartStop.STOP) {
                            technique = " " + element.getName().getLocalPart();
                        } else if (element.getName().getLocalPart().equals("pluck")) {
                            right = ((org.audiveris.proxymusic.PlacementText) value).getValue();
                        }
                    }
                }
            }
        }
        return midi + " string " + string + " fret " + fret + " " + left + " " + right + technique;
    }

    private static String ours(PlayedNote note) {
        String left = note.leftFinger() == 0 ? "-" : note.leftFinger() == 5 ? "T" : "" + note.leftFinger();
        return note.midi() + " string " + (6 - note.string()) + " fret " + note.fret() + " " + left + " "
                + note.rightFinger().map(f -> f.letter()).orElse("-")
                + (note.technique() == Technique.PLUCKED
                        ? ""
                        : " " + note.technique().label());
    }

    @Test
    void cases_haveEveryTechnique() {
        Set<Technique> heard = cases().flatMap(c -> c.scored().part().strikes().stream())
                .flatMap(strike -> strike.notes().stream())
                .map(PlayedNote::technique)
                .collect(Collectors.toSet());
        assertTrue(heard.containsAll(List.of(Technique.values())), heard.toString());
    }

    @ParameterizedTest
    @MethodSource("cases")
    void musicXml_readByProxyMusic_hasTheSameNotesStringsAndFingers(Case song) throws Exception {
        ScoredPart scored = song.scored();
        List<String> expected = Notation.of(scored.part()).stream()
                .flatMap(b -> b.events().stream())
                .flatMap(e -> e.notes().stream())
                .map(WritersTest::ours)
                .toList();
        assertTrue(expected.size() > 8);
        assertEquals(expected, proxyNotes(MusicXmlWriter.write("Salt & Rope", List.of(scored))));
    }

    /** A slide or a hammer-on over a bar line begins in the bar before. */
    @ParameterizedTest
    @MethodSource("cases")
    void musicXml_everyTechnique_hasItsBeginningAndItsEnd(Case song) {
        String xml = MusicXmlWriter.write("t", List.of(song.scored()));
        for (String mark : List.of("slide", "hammer-on", "pull-off")) {
            assertEquals(count(xml, mark, "stop"), count(xml, mark, "start"), mark);
        }
    }

    private static long count(String xml, String mark, String type) {
        return Pattern.compile("<" + mark + " type=\"" + type + "\"")
                .matcher(xml)
                .results()
                .count();
    }

    /** Every measure is full, as its durations say. */
    @ParameterizedTest
    @MethodSource("cases")
    void musicXml_readByProxyMusic_fillsItsMeasuresAndKeepsCapoAndTuning(Case song) throws Exception {
        ScoredPart scored = song.scored();
        String xml = MusicXmlWriter.write("t", List.of(scored));
        ScorePartwise score =
                (ScorePartwise) Marshalling.unmarshal(new ByteArrayInputStream(xml.getBytes(StandardCharsets.UTF_8)));
        List<Notation.WrittenBar> bars = Notation.of(scored.part());
        List<ScorePartwise.Part.Measure> measures = score.getPart().get(0).getMeasure();
        assertEquals(bars.size(), measures.size());
        for (int i = 0; i < bars.size(); i++) {
            List<Note> notes = measures.get(i).getNoteOrBackupOrForward().stream()
                    .filter(Note.class::isInstance)
                    .map(Note.class::cast)
                    .toList();
            List<String> above = sounds(notes, NOTES);
            assertEquals(sounds(notes, TAB), above, "bar " + (i + 1));
            int length = notes.stream()
                    .filter(n -> n.getChord() == null && isOn(NOTES, n))
                    .mapToInt(n -> n.getDuration().intValue())
                    .sum();
            assertEquals(bars.get(i).length(), length, "bar " + (i + 1));
        }
        Attributes attributes =
                (Attributes) measures.get(0).getNoteOrBackupOrForward().get(0);
        assertEquals(2, attributes.getStaves().intValue());
        assertEquals(
                List.of("1 G -1", "2 TAB null"),
                attributes.getClef().stream()
                        .map(c -> c.getNumber() + " " + c.getSign() + " " + c.getClefOctaveChange())
                        .toList());
        assertEquals(BigInteger.TWO, attributes.getStaffDetails().get(0).getNumber());
        BigInteger capo = attributes.getStaffDetails().get(0).getCapo();
        assertEquals(song.capo(), capo == null ? 0 : capo.intValue());
        assertEquals(6, attributes.getStaffDetails().get(0).getStaffTuning().size());
    }

    /** What a staff sounds and how long, note by note. */
    private static List<String> sounds(List<Note> notes, int staff) {
        return notes.stream()
                .filter(n -> isOn(staff, n))
                .map(n -> (n.getPitch() == null
                                ? "rest"
                                : "" + n.getPitch().getStep()
                                        + n.getPitch().getAlter()
                                        + n.getPitch().getOctave())
                        + " " + n.getDuration() + " " + n.getTie().size())
                .toList();
    }

    /** Our own reader finds the song again: chords, words, sections, key, metre, tempo. */
    @ParameterizedTest
    @MethodSource("cases")
    void musicXml_readAgain_isTheSameSong(Case song) {
        Chart chart = ChartTextReader.read(song.song()).chart();
        String xml = MusicXmlWriter.write(chart.title(), List.of(song.scored()));
        for (byte[] file : List.of(xml.getBytes(StandardCharsets.UTF_8), MxlFile.pack(xml))) {
            ReadScore read = MusicXmlReader.read(file);
            assertEquals(chart.title(), read.chart().title());
            assertEquals(chart.key(), read.chart().key());
            assertEquals(chart.metre(), read.chart().metre());
            assertEquals(chart.tempo(), read.chart().tempo());
            assertEquals(facts(chart), facts(read.chart()));
            assertTrue(read.chart().placements().stream()
                    .allMatch(slot -> slot.placement().tune().isEmpty()));
        }
    }

    private static List<String> facts(Chart chart) {
        return chart.placements().stream()
                .map(p -> p.section() + " " + p.bar() + " " + fact(p.placement()))
                .toList();
    }

    private static String fact(Placement p) {
        return p.chord()
                        .map(c -> c.root() + c.type().intervals().toString() + c.bass())
                        .orElse("N.C.") + " " + p.beat() + " " + p.beats() + " " + p.lyric();
    }

    @ParameterizedTest
    @MethodSource("cases")
    void midi_readByTheJdk_hasTheSameNotesAtTheirStrokes(Case song) throws Exception {
        ScoredPart scored = song.scored();
        byte[] file = MidiWriter.write("t", List.of(scored, scored));
        Sequence sequence = MidiSystem.getSequence(new ByteArrayInputStream(file));
        assertEquals(MidiWriter.TICKS_A_QUARTER, sequence.getResolution());
        assertEquals(3, sequence.getTracks().length);
        TreeSet<String> expected = new TreeSet<>();
        for (Strike strike : scored.part().strikes()) {
            for (PlayedNote note : strike.notes()) {
                expected.add(MidiWriter.tick(scored.part().bars(), strike.from()) + " " + note.midi());
            }
        }
        for (int guitar = 0; guitar < 2; guitar++) {
            TreeSet<String> found = new TreeSet<>();
            int sounding = 0;
            Track track = sequence.getTracks()[guitar + 1];
            for (int i = 0; i < track.size(); i++) {
                if (track.get(i).getMessage() instanceof ShortMessage message) {
                    assertEquals(guitar, message.getChannel());
                    if (message.getCommand() == ShortMessage.NOTE_ON) {
                        found.add(strikeAt(track.get(i).getTick(), scored) + " " + message.getData1());
                        sounding++;
                    }
                    sounding -= message.getCommand() == ShortMessage.NOTE_OFF ? 1 : 0;
                }
            }
            assertEquals(expected, found);
            assertEquals(0, sounding, "every note ends");
        }
        // The last strokes ring out for two beats.
        double beatSeconds = 60.0 / scored.part().arrangement().tempo();
        double past = sequence.getMicrosecondLength() / 1e6 - scored.part().beats() * beatSeconds;
        assertTrue(past > -1.2 && past < 2 * beatSeconds + 0.1, "it ends " + past + " s after the song");
        assertTrue(Stream.of(sequence.getTracks()[0])
                .flatMap(t -> Stream.of(t.get(0).getMessage()))
                .anyMatch(MetaMessage.class::isInstance));
    }

    /** The tick of the stroke a note belongs to: a strum reaches its last string within 12 ms a string. */
    private static long strikeAt(long tick, ScoredPart scored) {
        long ticksASecond = Math.round(MidiWriter.TICKS_A_QUARTER
                * scored.part().bars().get(0).quartersABeat()
                * scored.part().arrangement().tempo()
                / 60.0);
        return scored.part().strikes().stream()
                .mapToLong(strike -> MidiWriter.tick(scored.part().bars(), strike.from()))
                .filter(at -> at <= tick + 1 && tick - at <= 0.012 * 5 * ticksASecond + 1)
                .max()
                .orElse(-1);
    }

    @ParameterizedTest
    @MethodSource("cases")
    void tab_linesAreOfOneWidthAndHaveEveryFret(Case song) {
        ScoredPart scored = song.scored();
        String tab = TabText.write("t", scored);
        int frets = 0;
        List<String> lines = tab.lines().toList();
        for (int i = 0; i < lines.size(); i++) {
            if (lines.get(i).matches("[A-G][#b ]\\|.*")) {
                String strings = lines.get(i).substring(2);
                frets += (int) java.util.regex.Pattern.compile("[0-9]+|x")
                        .matcher(strings)
                        .results()
                        .count();
                if (i > 0 && lines.get(i - 1).matches("[A-G][#b ]\\|.*")) {
                    assertEquals(lines.get(i - 1).length(), lines.get(i).length(), lines.get(i));
                }
            }
        }
        long notes = scored.part().strikes().stream()
                .mapToLong(s -> s.notes().size())
                .sum();
        assertEquals(notes, frets, tab);
    }

    @ParameterizedTest
    @MethodSource("cases")
    void drawings_areWellFormedAndHaveAThreadForEveryMovingFinger(Case song) {
        ScoredPart scored = song.scored();
        Arrangement arrangement = scored.part().arrangement();
        XmlNode road =
                XmlNode.read(RoadSvg.write("t", arrangement, Handedness.RIGHT).getBytes(StandardCharsets.UTF_8));
        long fingers = arrangement.placements().stream()
                .mapToLong(p -> p.grip().orElseThrow().grip().holds().stream()
                        .filter(h -> !h.isBarre())
                        .count())
                .sum();
        assertEquals(fingers, road.all("circle").count());
        arrangement.placements().forEach(p -> {
            XmlNode frame =
                    XmlNode.read(GripSvg.write("C", p.grip().orElseThrow().grip(), Handedness.RIGHT)
                            .getBytes(StandardCharsets.UTF_8));
            assertEquals("svg", frame.name());
        });
    }

    @ParameterizedTest
    @MethodSource("cases")
    void chartText_writtenAndReadAgain_isTheSame(Case song) {
        Chart chart = ChartTextReader.read(song.song()).chart();
        String text = ChartTextWriter.write(chart);
        Chart again = ChartTextReader.read(text).chart();
        assertEquals(List.of(), ChartTextReader.read(text).faults(), text);
        assertEquals(chart.sections(), again.sections(), text);
        assertEquals(text, ChartTextWriter.write(again));
    }

    @Test
    void chartText_withTuneKeysAndMetres_isTheSame() {
        Chart chart = ChartTextReader.read(
                        "title: T\nkey: C\nmetre: 3/4\ncapo: 2\ntuning: D2 A2 D3 G3 B3 E4\n[A]\n| C | G/B |\n"
                                + "tune: E4 G4 C5 | B4 . G4 |\nkey: F\nmetre: 4/4\n[B]\n| F . . C7 | N.C. | Bb C |\n"
                                + "tune: F4 G4 A4 . Bb4 C5 - - | - | F4 . . . C4 . . D4 |\n")
                .chart();
        String text = ChartTextWriter.write(chart);
        Chart again = ChartTextReader.read(text).chart();
        assertEquals(chart, again, text);
        assertEquals(Optional.of("D2 A2 D3 G3 B3 E4"), again.tuning());
    }
}
