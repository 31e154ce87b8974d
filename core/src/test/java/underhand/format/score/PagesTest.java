package underhand.format.score;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.arrange.Arrangement;
import underhand.arrange.Arranger;
import underhand.chart.Chart;
import underhand.format.text.ChartTextReader;
import underhand.format.text.ChartTextWriter;
import underhand.hand.Grip;
import underhand.neck.Shape;
import underhand.part.Part;
import underhand.picking.PatternPlan;
import underhand.picking.PickingPattern;
import underhand.settings.ArrangementSettings;
import underhand.settings.HouseRule;
import underhand.settings.HouseRules;
import underhand.settings.Lock;

/** What stands on the page, to the letter. */
class PagesTest {

    private static final ArrangementSettings PLAIN = ArrangementSettings.ofRung(1)
            .withHouseRules(HouseRules.NONE.with(HouseRule.CAPO, false))
            .withCapo(0);

    private static ScoredPart scored(String song, ArrangementSettings settings) {
        Arrangement arrangement =
                new Arranger().arrange(ChartTextReader.read(song).chart(), settings);
        return new ScoredPart("Guitar", Part.of(arrangement, List.of()), settings.tuning(), false, Handedness.RIGHT);
    }

    private static PatternPlan picked(String steps) {
        return PatternPlan.of(PickingPattern.parse("t", "t", "4/4", false, 1, steps));
    }

    /** The open G of every first lesson, picked and strummed: written out by hand. */
    @Test
    void tab_ofAPickedAndAStrummedBar_isThis() {
        String picked = TabText.write("T", scored("key: G\ntempo: 60\n| G |", PLAIN.withPatterns(picked("r l m h"))));
        assertEquals("""
                T
                Guitar, tuned E2 A2 D3 G3 B3 E4, no capo, 60 beats a minute
                G         320003           fingers 32---4

                    G
                E |-------------------------3-------|
                B |-----------------0---------------|
                G |---------0-----------------------|
                D |---------------------------------|
                A |---------------------------------|
                E |-3-------------------------------|
                    p       i       m       a

                Under the strings: p i m a fingers, * too many to write, v stroke down,
                ^ stroke up, > accent, _ palm muted, . cut short.
                On the strings: x ghost stroke, h hammer-on, p pull-off, / slide.
                """, picked);
        String strummed =
                TabText.write("T", scored("key: G\ntempo: 60\n| G |", PLAIN.withPatterns(picked("D> . D_ U"))));
        assertTrue(strummed.contains("v>") && strummed.contains("v_") && strummed.contains("^"), strummed);
    }

    @Test
    void grip_drawn_hasADotForEveryFingerAndSignsForOpenAndSilent() {
        ScoredPart part = scored("key: C\n| C |", PLAIN);
        String svg = GripSvg.write(
                "C",
                part.part()
                        .arrangement()
                        .placements()
                        .get(0)
                        .grip()
                        .orElseThrow()
                        .grip(),
                Handedness.RIGHT);
        XmlNode drawn = XmlNode.read(svg.getBytes(StandardCharsets.UTF_8));
        assertEquals(3, drawn.all("circle").count());
        assertEquals(2, drawn.all("text").filter(t -> t.text().equals("○")).count());
        assertEquals(1, drawn.all("text").filter(t -> t.text().equals("×")).count());
        assertEquals("C x32010 -32-1-", drawn.textAt("title").orElseThrow());
    }

    /** For a left-handed player every mark is where a mirror shows it, and the letters can still be read. */
    @Test
    void gripAndRoad_forALeftHandedPlayer_areMirrored() {
        ScoredPart part = scored("key: C\n| C | F | G |", PLAIN);
        Arrangement arrangement = part.part().arrangement();
        arrangement.placements().forEach(place -> {
            Grip grip = place.grip().orElseThrow().grip();
            assertEquals(
                    marks(GripSvg.write("x", grip, Handedness.RIGHT), -1, 2 * 26 + 5 * 18),
                    marks(GripSvg.write("x", grip, Handedness.LEFT), 1, 0));
        });
        String right = RoadSvg.write("t", arrangement, Handedness.RIGHT);
        String left = RoadSvg.write("t", arrangement, Handedness.LEFT);
        assertEquals(marks(right, 1, 0).size(), marks(left, 1, 0).size());
        assertNotEquals(marks(right, 1, 0), marks(left, 1, 0));
    }

    /** Dots and signs of a drawing by kind and place, each x times a factor and shifted. */
    private static List<String> marks(String svg, int factor, double shift) {
        XmlNode drawn = XmlNode.read(svg.getBytes(StandardCharsets.UTF_8));
        return Stream.of("circle", "text")
                .flatMap(drawn::all)
                .filter(node -> !node.text().equals("x"))
                .map(node -> {
                    String x = node.name().equals("circle") ? "cx" : "x";
                    String y = node.name().equals("circle") ? "cy" : "y";
                    double at = shift
                            + factor * Double.parseDouble(node.attribute(x).orElseThrow());
                    return node.name() + node.text() + " " + at + " "
                            + node.attribute(y).orElseThrow();
                })
                .sorted()
                .toList();
    }

    @Test
    void grip_upTheNeck_saysItsFret() {
        ArrangementSettings locked = ArrangementSettings.ofRung(4)
                .withHouseRules(HouseRules.NONE.with(HouseRule.CAPO, false))
                .withCapo(0)
                .withLocks(List.of(Lock.onShape(0, Shape.parse("8-10-10-9-8-8"))));
        ScoredPart part = scored("key: C\n| C |", locked);
        String svg = GripSvg.write(
                "C",
                part.part()
                        .arrangement()
                        .placements()
                        .get(0)
                        .grip()
                        .orElseThrow()
                        .grip(),
                Handedness.RIGHT);
        assertTrue(svg.contains(">8</text>"), svg);
    }

    @Test
    void road_drawn_nutOrCapoAndEveryChord() {
        ArrangementSettings settings = ArrangementSettings.ofRung(1).withCapo(2);
        ScoredPart part = scored("key: A\n| A | D | E |", settings);
        String svg = RoadSvg.write("Road", part.part().arrangement(), Handedness.RIGHT);
        assertTrue(svg.contains(">capo</text>"));
        for (String chord : List.of("G", "C", "D")) {
            assertTrue(svg.contains(">" + chord + "</text>"), chord);
        }
    }

    @Test
    void text_withMarksOfXml_isEscaped() {
        ScoredPart part = scored("title: <b>&\u0001\"\nkey: C\n[C]less < more & [F]\u0007done", PLAIN);
        String xml = MusicXmlWriter.write("<b>&\u0001\"", List.of(part));
        XmlNode read = XmlNode.read(xml.getBytes(StandardCharsets.UTF_8));
        assertEquals("<b>&\"", read.textAt("work", "work-title").orElseThrow());
        assertTrue(xml.contains("less &lt; more &amp;"), xml);
    }

    @Test
    void octaves_ofNotesSpelledAcrossC_areThoseOfTheirLetters() {
        // B sharp 3 is C4, C flat 4 is B3: in C sharp major and G flat major.
        String sharp =
                MusicXmlWriter.write("t", List.of(scored("key: C#\n| C# | G#7 |", ArrangementSettings.ofRung(3))));
        for (XmlNode measure : XmlNode.read(sharp.getBytes(StandardCharsets.UTF_8))
                .first("part")
                .orElseThrow()
                .all("measure")
                .toList()) {
            for (XmlNode note : measure.all("note").toList()) {
                int octave = note.numberAt("pitch", "octave").orElseThrow();
                assertTrue(octave >= 2 && octave <= 6, "octave " + octave);
            }
        }
        assertTrue(sharp.contains("<fifths>7</fifths>") || sharp.contains("<fifths>-5</fifths>"));
    }

    /** Random songs survive the way out and back as chart text. */
    @ParameterizedTest
    @CsvSource({"1", "2", "3", "4", "5", "6", "7", "8", "9", "10"})
    void chartText_ofRandomSongs_isTheSameAgain(long seed) {
        Random random = new Random(seed);
        String[] chords = {"C", "G7", "Am/C", "F#m7b5", "Bbmaj7", "E7b9", "Dsus4", "N.C."};
        String[] words = {"", "", "row", "the long way home", "oh"};
        StringBuilder text = new StringBuilder("title: Random " + seed + "\nkey: C\n");
        for (int section = 0; section < 3; section++) {
            text.append("\nmetre: ")
                    .append(random.nextBoolean() ? "4/4" : "3/4")
                    .append("\n[Part ")
                    .append(section)
                    .append("]\n");
            for (int line = 0; line < 2; line++) {
                for (int chord = 0; chord < 4; chord++) {
                    text.append('[')
                            .append(chords[random.nextInt(chords.length)])
                            .append(']')
                            .append(words[random.nextInt(words.length)])
                            .append(' ');
                }
                text.append('\n');
            }
            text.append("| C . F | Am | % |\ntune: E4 . F4 G4 | - A4 | C5 . . |\n");
        }
        Chart chart = ChartTextReader.read(text.toString()).chart();
        String written = ChartTextWriter.write(chart);
        Chart again = ChartTextReader.read(written).chart();
        assertEquals(
                chart.placements().stream().map(p -> p.placement()).toList(),
                again.placements().stream().map(p -> p.placement()).toList(),
                written);
    }
}
