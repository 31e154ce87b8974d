package underhand.format.score;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.audiveris.proxymusic.Articulations;
import org.audiveris.proxymusic.Attributes;
import org.audiveris.proxymusic.Direction;
import org.audiveris.proxymusic.Frame;
import org.audiveris.proxymusic.FrameNote;
import org.audiveris.proxymusic.Harmony;
import org.audiveris.proxymusic.Mute;
import org.audiveris.proxymusic.Note;
import org.audiveris.proxymusic.ScorePartwise;
import org.audiveris.proxymusic.StartStop;
import org.audiveris.proxymusic.util.Marshalling;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import underhand.arrange.Arrangement;
import underhand.arrange.Arranger;
import underhand.chart.Chart;
import underhand.format.text.ChartTextReader;
import underhand.hand.FingeringSearch;
import underhand.hand.FretWindow;
import underhand.hand.Grip;
import underhand.hand.Hold;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;
import underhand.part.Notation;
import underhand.part.Part;
import underhand.picking.PatternPlan;
import underhand.picking.Patterns;
import underhand.picking.Step.Sound;
import underhand.picking.Step.Weight;
import underhand.pitch.Key;
import underhand.settings.ArrangementSettings;

/** What stands at the notes of a score and its chord symbols, read by ProxyMusic. */
class MusicXmlSignsTest {

    /** Every chord symbol's frame, read by ProxyMusic, is the grip it is played with. */
    @ParameterizedTest
    @MethodSource("underhand.format.score.WritersTest#cases")
    void frames_readByProxyMusic_areTheGripsPlayed(WritersTest.Case song) throws Exception {
        ScoredPart scored = song.scored();
        byte[] xml = MusicXmlWriter.write("t", List.of(scored)).getBytes(StandardCharsets.UTF_8);
        ScorePartwise score = (ScorePartwise) Marshalling.unmarshal(new ByteArrayInputStream(xml));
        List<Frame> frames = score.getPart().get(0).getMeasure().stream()
                .flatMap(m -> m.getNoteOrBackupOrForward().stream())
                .filter(Harmony.class::isInstance)
                .map(h -> ((Harmony) h).getFrame())
                .toList();
        List<Grip> grips = scored.part().arrangement().placements().stream()
                .flatMap(p -> p.grip().stream())
                .map(g -> g.grip())
                .toList();
        assertEquals(grips.size(), frames.size());
        for (int i = 0; i < frames.size(); i++) {
            assertFrame(grips.get(i), frames.get(i));
        }
    }

    private static void assertFrame(Grip grip, Frame frame) {
        Shape shape = grip.shape();
        assertEquals(shape.strings(), frame.getFrameStrings().intValue());
        int first = frame.getFirstFret() == null
                ? 1
                : frame.getFirstFret().getValue().intValue();
        Map<Integer, FrameNote> byString = new HashMap<>();
        frame.getFrameNote().forEach(n -> byString.put(n.getString().getValue().intValue(), n));
        for (int string = 0; string < shape.strings(); string++) {
            FrameNote note = byString.remove(shape.strings() - string);
            if (shape.isSilent(string)) {
                assertEquals(null, note);
                continue;
            }
            int fret = note.getFret().getValue().intValue();
            assertEquals(shape.fret(string), fret, grip.toString());
            assertTrue(
                    fret == 0
                            || fret >= first
                                    && fret < first + frame.getFrameFrets().intValue(),
                    grip.toString());
            String finger =
                    note.getFingering() == null ? "" : note.getFingering().getValue();
            assertEquals(
                    fret == 0 ? "" : Grip.THUMB == grip.fingerOn(string) ? "T" : "" + grip.fingerOn(string), finger);
        }
        assertTrue(byString.isEmpty());
        for (StartStop end : StartStop.values()) {
            long ends = frame.getFrameNote().stream()
                    .filter(n -> n.getBarre() != null && n.getBarre().getType() == end)
                    .count();
            assertEquals(grip.holds().stream().filter(Hold::isBarre).count(), ends, grip.toString());
        }
    }

    /** The rows a frame shows: from the nut up to the fourth fret, else from the lowest finger. */
    @ParameterizedTest
    @CsvSource({
        "x32010, 1, 4",
        "133211, 1, 4",
        "x35553, 3, 4",
        "577655, 5, 4",
        "x2x05x, 2, 4",
        "000000, 1, 4",
        "x1213x, 1, 4"
    })
    void window_ofAGrip_isThese(String shape, int first, int frets) {
        Fretboard board = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, 0);
        Grip grip = new FingeringSearch(board, Rung.of(5), Player.ADULT)
                .fingerings(Shape.parse(shape))
                .get(0);
        assertEquals(new FretWindow(first, frets), FretWindow.of(grip));
    }

    /** How a stroke sounds: accents, dots, and the palm on the strings. */
    @ParameterizedTest
    @CsvSource({
        "muted-eighths, palm",
        "shuffle-strum, palm accent",
        "off-beat-chop, staccato",
        "swing-four, accent staccato",
        "arpeggio-up, ''"
    })
    void musicXml_readByProxyMusic_hasTheSameAccentsDotsAndMutes(String pattern, String marks) throws Exception {
        ScoredPart scored = new WritersTest.Case(WritersTest.SONG, pattern, 4, 0).scored();
        List<String> expected = Notation.of(scored.part()).stream()
                .flatMap(b -> b.events().stream())
                .filter(e -> !e.notes().isEmpty())
                .map(e -> (e.sound() == Sound.PALM_MUTE ? "palm " : "")
                        + (e.weight() == Weight.ACCENT ? "accent " : "")
                        + (e.sound() == Sound.CUT ? "staccato " : ""))
                .toList();
        for (String mark : marks.split(" ")) {
            assertTrue(expected.stream().anyMatch(e -> e.contains(mark)), mark);
        }
        ScorePartwise score = (ScorePartwise) Marshalling.unmarshal(new ByteArrayInputStream(
                MusicXmlWriter.write("t", List.of(scored)).getBytes(StandardCharsets.UTF_8)));
        List<String> found = score.getPart().get(0).getMeasure().stream()
                .flatMap(m -> m.getNoteOrBackupOrForward().stream())
                .filter(item -> item instanceof Note note
                        && note.getPitch() != null
                        && note.getChord() == null
                        && WritersTest.isOn(WritersTest.NOTES, note)
                        && note.getTie().stream()
                                .noneMatch(t -> t.getType().value().equals("stop")))
                .map(item -> marks((Note) item))
                .toList();
        assertEquals(expected, found);
    }

    /** A score says that it swings, where it begins to and where it ends; so does the tab. */
    @ParameterizedTest
    @CsvSource({
        "swing-four, folk-strum, swing straight",
        "folk-strum, shuffle-strum, swing",
        "folk-strum, folk-strum, ''"
    })
    void swing_ofASection_isSaidWhereItBegins(String verse, String chorus, String expected) throws Exception {
        ArrangementSettings settings = ArrangementSettings.ofRung(3)
                .withPatterns(
                        new PatternPlan(Optional.empty(), Map.of("Verse", choice(verse), "Chorus", choice(chorus))));
        Arrangement arrangement = new Arranger()
                .arrange(
                        ChartTextReader.read("key: E\n[Verse]\n| E | A |\n[Chorus]\n| B7 | E |")
                                .chart(),
                        settings);
        ScoredPart scored =
                new ScoredPart("Guitar", Part.of(arrangement, List.of()), settings.tuning(), false, Handedness.RIGHT);
        ScorePartwise score = (ScorePartwise) Marshalling.unmarshal(new ByteArrayInputStream(
                MusicXmlWriter.write("t", List.of(scored)).getBytes(StandardCharsets.UTF_8)));
        String found = score.getPart().get(0).getMeasure().stream()
                .flatMap(m -> m.getNoteOrBackupOrForward().stream())
                .filter(item -> item instanceof Direction direction
                        && direction.getSound() != null
                        && direction.getSound().getSwing() != null)
                .map(item -> ((Direction) item).getSound().getSwing().getStraight() == null ? "swing" : "straight")
                .collect(Collectors.joining(" "));
        assertEquals(expected, found);
        String tab = TabText.write("t", scored);
        assertEquals(expected.contains("swing"), tab.contains("(swing"), tab);
        assertEquals(expected.contains("straight"), tab.contains("(straight"), tab);
    }

    /** A section with a key of its own begins with it. */
    @Test
    void key_ofASection_isWrittenWhereItBegins() throws Exception {
        ArrangementSettings settings = ArrangementSettings.ofRung(3);
        Chart chart = ChartTextReader.read(
                        "key: E\n[Verse]\n| E | A |\n[Bridge]\nkey: Gm\n| Gm | D7 |\n[Chorus]\nkey: E\n| B7 | E |")
                .chart();
        assertEquals(Optional.of(Key.parse("Gm")), chart.sections().get(1).key());
        Arrangement arrangement = new Arranger().arrange(chart, settings);
        ScoredPart scored =
                new ScoredPart("Guitar", Part.of(arrangement, List.of()), settings.tuning(), false, Handedness.RIGHT);
        String xml = MusicXmlWriter.write("t", List.of(scored));
        ScorePartwise score =
                (ScorePartwise) Marshalling.unmarshal(new ByteArrayInputStream(xml.getBytes(StandardCharsets.UTF_8)));
        List<String> found = new ArrayList<>();
        for (ScorePartwise.Part.Measure measure : score.getPart().get(0).getMeasure()) {
            for (Object item : measure.getNoteOrBackupOrForward()) {
                if (item instanceof Attributes attributes
                        && !attributes.getKey().isEmpty()) {
                    found.add(measure.getNumber() + " "
                            + attributes.getKey().get(0).getFifths() + " "
                            + attributes.getKey().get(0).getMode());
                }
            }
        }
        assertEquals(List.of("1 4 major", "3 -2 minor", "5 4 major"), found);
        Chart again = MusicXmlReader.read(xml.getBytes(StandardCharsets.UTF_8)).chart();
        assertEquals(
                List.of("E major", "G minor", "E major"),
                again.sections().stream()
                        .map(s -> s.key().orElseThrow().toString())
                        .toList());
    }

    /** Every struck note is as loud as the page plays it; what is tied on is not struck. */
    @ParameterizedTest
    @ValueSource(strings = {"folk-strum", "muted-eighths", "arpeggio-up", "sixteenth-pick"})
    void dynamics_ofEveryStruckNote_areThoseHeard(String pattern) throws Exception {
        ArrangementSettings settings =
                ArrangementSettings.ofRung(3).withPatterns(new PatternPlan(Optional.of(choice(pattern)), Map.of()));
        Arrangement arrangement = new Arranger()
                .arrange(
                        ChartTextReader.read("key: E\n[Verse]\n| E | A . B7 . |\n| C#m | E |")
                                .chart(),
                        settings);
        Part part = Part.of(arrangement, List.of());
        ScoredPart scored = new ScoredPart("Guitar", part, settings.tuning(), false, Handedness.RIGHT);
        ScorePartwise score = (ScorePartwise) Marshalling.unmarshal(new ByteArrayInputStream(
                MusicXmlWriter.write("t", List.of(scored)).getBytes(StandardCharsets.UTF_8)));
        List<Long> written = score.getPart().get(0).getMeasure().stream()
                .flatMap(m -> m.getNoteOrBackupOrForward().stream())
                .filter(item -> item instanceof Note note
                        && note.getDynamics() != null
                        && WritersTest.isOn(WritersTest.NOTES, note)
                        && note.getTie().stream().noneMatch(t -> t.getType() == StartStop.STOP))
                .map(item -> ((Note) item).getDynamics().longValue())
                .sorted()
                .toList();
        List<Long> heard = part.heard().stream()
                .map(n -> Math.round(n.velocity() * 100 / 90.0))
                .sorted()
                .toList();
        assertEquals(heard, written);
    }

    private static PatternPlan.Choice choice(String pattern) {
        return new PatternPlan.Choice(Patterns.of(pattern).orElseThrow(), Optional.empty());
    }

    private static String marks(Note note) {
        StringBuilder marks = new StringBuilder();
        if (note.getPlay() != null) {
            note.getPlay()
                    .getIpaOrMuteOrSemiPitched()
                    .forEach(m -> marks.append(((Mute) m).value()).append(' '));
        }
        note.getNotations().stream()
                .flatMap(n -> n.getTiedOrSlurOrTuplet().stream())
                .filter(Articulations.class::isInstance)
                .flatMap(a -> ((Articulations) a).getAccentOrStrongAccentOrStaccato().stream())
                .forEach(a -> marks.append(a.getName().getLocalPart()).append(' '));
        return marks.toString();
    }
}
