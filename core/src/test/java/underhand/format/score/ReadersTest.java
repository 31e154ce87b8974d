package underhand.format.score;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.accompany.TuneChords;
import underhand.chart.Chart;
import underhand.chart.Placement;
import underhand.format.text.ChartTextReader;
import underhand.format.text.ChartTextWriter;
import underhand.input.FormatException;

/** Small scores written by hand, a feature each, and files that are none. */
class ReadersTest {

    private static final String FOUR =
            "<attributes><divisions>1</divisions><time><beats>4</beats><beat-type>4</beat-type></time></attributes>";

    private static String harmony(String chord) {
        String root = chord.substring(0, 1);
        boolean minor = chord.endsWith("m");
        return "<harmony><root><root-step>" + root + "</root-step></root><kind>" + (minor ? "minor" : "major")
                + "</kind></harmony>";
    }

    private static String note(String pitch, int duration) {
        return "<note><pitch><step>" + pitch.charAt(0) + "</step><octave>" + pitch.charAt(1)
                + "</octave></pitch><duration>" + duration + "</duration></note>";
    }

    /** Measures separated by bars, in a shorthand: {@code C} a whole bar of it, {@code {…}} as it stands. */
    private static byte[] score(String... measures) {
        StringBuilder xml = new StringBuilder(
                "<?xml version=\"1.0\"?><!DOCTYPE score-partwise PUBLIC \"x\" \"http://nowhere.invalid/partwise.dtd\">"
                        + "<score-partwise><part-list><score-part id=\"P1\"><part-name>x</part-name></score-part></part-list>"
                        + "<part id=\"P1\">");
        for (int i = 0; i < measures.length; i++) {
            xml.append("<measure number=\"")
                    .append(i + 1)
                    .append("\">")
                    .append(measures[i])
                    .append("</measure>");
        }
        return xml.append("</part></score-partwise>").toString().getBytes(StandardCharsets.UTF_8);
    }

    private static String bar(String chord) {
        return harmony(chord) + "<note><rest/><duration>4</duration></note>";
    }

    private static String chords(ReadScore read) {
        return read.chart().placements().stream()
                .map(p -> p.placement().chord().map(Object::toString).orElse("N.C."))
                .collect(Collectors.joining(" "));
    }

    private static String tune(ReadScore read) {
        return read.chart().placements().stream()
                .flatMap(p -> p.placement().tune().stream())
                .map(n -> n.pitch() + ":" + n.beats())
                .collect(Collectors.joining(" "));
    }

    @Test
    void repeatsAndEndings_areWrittenOut() {
        String open = "<barline location=\"left\"><repeat direction=\"forward\"/></barline>";
        String close = "<barline location=\"right\"><repeat direction=\"backward\"/></barline>";
        assertEquals("C F F C", chords(MusicXmlReader.read(score(FOUR + bar("C"), open + bar("F") + close, bar("C")))));
        String first = "<barline location=\"left\"><ending number=\"1\" type=\"start\"/></barline>";
        String firstEnd =
                "<barline location=\"right\"><ending number=\"1\" type=\"stop\"/><repeat direction=\"backward\"/></barline>";
        String second = "<barline location=\"left\"><ending number=\"2\" type=\"start\"/></barline>";
        String secondEnd = "<barline location=\"right\"><ending number=\"2\" type=\"stop\"/></barline>";
        assertEquals(
                "C G C A D",
                chords(MusicXmlReader.read(score(
                        FOUR + open + bar("C"),
                        first + bar("G") + firstEnd,
                        second + bar("A") + secondEnd,
                        bar("D")))));
        String thrice = "<barline location=\"right\"><repeat direction=\"backward\" times=\"3\"/></barline>";
        assertEquals("C C C", chords(MusicXmlReader.read(score(FOUR + bar("C") + thrice))));
        String both = "<barline location=\"left\"><ending number=\"1, 2\" type=\"start\"/></barline>";
        String bothEnd =
                "<barline location=\"right\"><ending number=\"1, 2\" type=\"stop\"/><repeat direction=\"backward\"/></barline>";
        String third = "<barline location=\"left\"><ending number=\"3\" type=\"start\"/></barline>";
        assertEquals(
                "C G C G C A",
                chords(MusicXmlReader.read(score(FOUR + bar("C"), both + bar("G") + bothEnd, third + bar("A")))));
    }

    @Test
    void pickUpBar_keepsItsLength() {
        ReadScore read = MusicXmlReader.read(score(FOUR + harmony("G") + note("D4", 1), harmony("C") + note("E4", 4)));
        Placement pickUp = read.chart().placements().get(0).placement();
        assertEquals(1, pickUp.beats());
        assertEquals(4, pickUp.beat());
        assertEquals("D4:1.0 E4:4.0", tune(read));
    }

    @Test
    void transposingPart_soundsAsItSounds() {
        String clarinet =
                "<attributes><divisions>1</divisions><key><fifths>0</fifths></key><time><beats>4</beats><beat-type>4</beat-type></time>"
                        + "<transpose><diatonic>-1</diatonic><chromatic>-2</chromatic></transpose></attributes>";
        ReadScore read = MusicXmlReader.read(score(clarinet + harmony("C") + note("C5", 4)));
        assertEquals("Bb", chords(read));
        assertEquals("A#4:4.0", tune(read));
        assertEquals("Bb major", read.chart().key().orElseThrow().toString());
    }

    @Test
    void twoVoices_keepTheFirst() {
        String second = "<backup><duration>4</duration></backup><note><pitch><step>C</step><octave>3</octave></pitch>"
                + "<duration>4</duration><voice>2</voice></note>";
        ReadScore read = MusicXmlReader.read(score(FOUR + harmony("C") + note("E4", 2) + note("G4", 2) + second));
        assertEquals("E4:2.0 G4:2.0", tune(read));
        assertTrue(read.dropped().contains("voices and staves below the first"));
    }

    @Test
    void chordInTheTune_keepsItsHighestNote() {
        String chord = "<note><chord/><pitch><step>G</step><octave>4</octave></pitch><duration>4</duration></note>";
        ReadScore read = MusicXmlReader.read(score(FOUR + harmony("C") + note("E4", 4) + chord));
        assertEquals("G4:4.0", tune(read));
    }

    @Test
    void missingDivisions_areTakenAsOneAndSaid() {
        ReadScore read = MusicXmlReader.read(score(harmony("C") + note("E4", 4)));
        assertEquals("E4:4.0", tune(read));
        assertTrue(read.dropped().stream().anyMatch(d -> d.contains("divisions")));
    }

    @Test
    void chordOffset_andBarWithoutChord() {
        String late = harmony("F").replace("</harmony>", "<offset>2</offset></harmony>");
        ReadScore read = MusicXmlReader.read(score(FOUR + harmony("C") + late + note("E4", 4), note("C4", 4)));
        assertEquals("C F F", chords(read));
        assertEquals(2, read.chart().placements().get(1).placement().beats());
    }

    @Test
    void chordsOffTheBeat_keepTheirPlaceToAQuarterOfABeat() {
        String fine = FOUR.replace("<divisions>1</divisions>", "<divisions>10</divisions>");
        String half = harmony("F").replace("</harmony>", "<offset>15</offset></harmony>");
        ReadScore kept = MusicXmlReader.read(score(fine + harmony("C") + half + note("E4", 40)));
        assertEquals(1.5, kept.chart().placements().get(0).placement().beats());
        assertEquals(
                kept.chart().sections(),
                ChartTextReader.read(ChartTextWriter.write(kept.chart()))
                        .chart()
                        .sections());
        String odd = harmony("F").replace("</harmony>", "<offset>13</offset></harmony>");
        ReadScore moved = MusicXmlReader.read(score(fine + harmony("C") + odd + note("E4", 40)));
        assertEquals(1, moved.chart().placements().get(0).placement().beats());
        assertTrue(moved.dropped().stream().anyMatch(d -> d.contains("moved to the nearest beat")));
    }

    @Test
    void wordsAndSections_areJoined() {
        String sung =
                "<note><pitch><step>C</step><octave>4</octave></pitch><duration>2</duration><lyric><syllabic>%s</syllabic><text>%s</text></lyric></note>";
        String rehearsal = "<direction><direction-type><rehearsal>Chorus</rehearsal></direction-type></direction>";
        ReadScore read = MusicXmlReader.read(score(
                FOUR + harmony("C") + sung.formatted("begin", "wa") + sung.formatted("end", "ter"),
                rehearsal + harmony("G") + sung.formatted("single", "on") + note("D4", 2)));
        assertEquals("water", read.chart().placements().get(0).placement().lyric());
        assertEquals("Chorus", read.chart().placements().get(1).section());
        ReadScore split = MusicXmlReader.read(score(
                FOUR + harmony("C") + sung.formatted("begin", "un") + harmony("G") + sung.formatted("end", "barred")));
        assertEquals(
                List.of("un-", "barred"),
                split.chart().placements().stream()
                        .map(p -> p.placement().lyric())
                        .toList());
    }

    @Test
    void changesOfKeyAndMetre_andTempo() {
        String three =
                "<attributes><key><fifths>-1</fifths><mode>minor</mode></key><time><beats>3</beats><beat-type>4</beat-type></time></attributes>";
        String tempo =
                "<direction><direction-type><metronome><beat-unit>quarter</beat-unit><per-minute>88</per-minute></metronome></direction-type></direction>";
        ReadScore read = MusicXmlReader.read(score(
                FOUR.replace("<time>", "<key><fifths>1</fifths></key><time>") + tempo + bar("G"),
                three + harmony("Dm") + note("D4", 3)));
        Chart chart = read.chart();
        assertEquals(88, chart.tempo().orElseThrow());
        assertEquals("G major", chart.key().orElseThrow().toString());
        assertEquals("D minor", chart.sections().get(1).key().orElseThrow().toString());
        assertEquals("3/4", chart.placements().get(1).metre().toString());
        assertEquals(
                chart.sections(),
                ChartTextReader.read(ChartTextWriter.write(chart)).chart().sections());
    }

    @Test
    void timewise_isReadLikePartwise() {
        String xml = "<score-timewise><measure number=\"1\"><part id=\"P1\">" + FOUR + bar("C")
                + "</part></measure><measure number=\"2\"><part id=\"P1\">" + bar("G")
                + "</part></measure></score-timewise>";
        assertEquals("C G", chords(MusicXmlReader.read(xml.getBytes(StandardCharsets.UTF_8))));
    }

    @Test
    void tiesAndGraceNotes() {
        String start = note("E4", 2).replace("</note>", "<tie type=\"start\"/></note>");
        String stop = note("E4", 2).replace("</note>", "<tie type=\"stop\"/></note>");
        String grace = "<note><grace/><pitch><step>D</step><octave>4</octave></pitch></note>";
        ReadScore read = MusicXmlReader.read(score(FOUR + harmony("C") + grace + start + stop));
        assertEquals("E4:4.0", tune(read));
        assertTrue(read.dropped().contains("grace and cue notes"));
    }

    @Test
    void jumps_areSaidNotPlayed() {
        String dc =
                "<direction><direction-type><words>D.C.</words></direction-type><sound dacapo=\"yes\"/></direction>";
        ReadScore read = MusicXmlReader.read(score(FOUR + bar("C"), bar("G") + dc));
        assertEquals("C G", chords(read));
        assertTrue(read.dropped().stream().anyMatch(d -> d.contains("the song goes straight on")));
    }

    /** Every kind of the standard, with a root and some with degrees on top. */
    @ParameterizedTest
    @CsvFileSource(resources = "kinds.csv", delimiter = ';', numLinesToSkip = 3)
    void kinds_ofTheStandard_areRead(String kind, String degrees, String expected) {
        StringBuilder xml =
                new StringBuilder("<harmony><root><root-step>C</root-step></root><kind>" + kind + "</kind>");
        if (degrees != null) {
            for (String degree : degrees.strip().split(" ")) {
                String[] parts = degree.split(":");
                xml.append("<degree><degree-value>" + parts[1] + "</degree-value><degree-alter>" + parts[2]
                        + "</degree-alter><degree-type>" + parts[0] + "</degree-type></degree>");
            }
        }
        xml.append("</harmony>");
        ReadScore read = MusicXmlReader.read(score(FOUR + xml + note("C4", 4)));
        assertEquals(expected.strip(), chords(read));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "<score-partwise><part></score-partwise>; no well-formed XML: line 1",
                "<html><body/></html>; begins with <html>",
                "<score-partwise/>; has no parts",
                "hello; no well-formed XML",
            })
    void otherDocuments_sayWhatTheyAre(String xml, String words) {
        FormatException e =
                assertThrows(FormatException.class, () -> MusicXmlReader.read(xml.getBytes(StandardCharsets.UTF_8)));
        assertTrue(e.getMessage().contains(words), e.getMessage());
    }

    @Test
    void scoreWithoutChords_opensWithItsTuneAndNone() {
        ReadScore read = MusicXmlReader.read(score(FOUR + note("C4", 4), note("D4", 2) + note("E4", 2)));
        assertEquals("N.C. N.C.", chords(read));
        assertEquals("C4:4.0 D4:2.0 E4:2.0", tune(read));
        assertEquals(2, TuneChords.waiting(read.chart()));
        Chart again = ChartTextReader.read(ChartTextWriter.write(read.chart())).chart();
        assertEquals(read.chart().sections(), again.sections());
    }

    private static String sung(String pitch, int duration, String... verses) {
        StringBuilder lyrics = new StringBuilder();
        for (int verse = 0; verse < verses.length; verse++) {
            boolean goesOn = verses[verse].endsWith("-");
            lyrics.append("<lyric number=\"" + (verse + 1) + "\"><syllabic>" + (goesOn ? "begin" : "end")
                    + "</syllabic><text>" + verses[verse].replace("-", "").replace("_", "</text><elision/><text>")
                    + "</text></lyric>");
        }
        return note(pitch, duration).replace("</note>", lyrics + "</note>");
    }

    /** Verses under one another: a repeat sings the next, and those no repeat comes to stay as words. */
    @Test
    void verses_areSungByRepeats_andTheOthersStand() {
        String again = "<barline location=\"right\"><repeat direction=\"backward\"/></barline>";
        byte[] file = score(
                FOUR + harmony("C") + sung("C4", 2, "Lan-", "Her-", "Wind-") + sung("D4", 2, "terns", "ons", "lass"),
                harmony("G") + sung("E4", 4, "glow", "wait", "turns_on") + again,
                harmony("C") + sung("C4", 4, "home"));
        ReadScore read = MusicXmlReader.read(file);
        assertEquals(
                List.of("Lanterns", "glow", "Herons", "wait", "home"),
                read.chart().placements().stream()
                        .map(p -> p.placement().lyric())
                        .toList());
        assertEquals(
                List.of(new Chart.Words(5, Optional.of("Verse 3"), List.of("Windlass turns on"))),
                read.chart().words());
        assertEquals(List.of(), read.dropped());
        Chart again2 = ChartTextReader.read(ChartTextWriter.write(read.chart())).chart();
        assertEquals(read.chart().sections(), again2.sections());
        assertEquals(read.chart().words(), again2.words());
    }

    @Test
    void scoreWithoutChordsAndNotes_saysWhatToDo() {
        FormatException e = assertThrows(FormatException.class, () -> MusicXmlReader.read(score(FOUR)));
        assertTrue(e.getMessage().contains("neither chord symbols nor notes. Write"));
    }

    @Test
    void outsideEntity_isNotFetched() {
        String xml = "<?xml version=\"1.0\"?><!DOCTYPE score-partwise [<!ENTITY x SYSTEM \"file:///etc/hostname\">]>"
                + "<score-partwise><part id=\"P1\"><measure number=\"1\">" + FOUR
                + harmony("C") + note("C4", 4)
                + "</measure></part><work><work-title>&x;</work-title></work></score-partwise>";
        try {
            assertEquals(
                    "",
                    MusicXmlReader.read(xml.getBytes(StandardCharsets.UTF_8))
                            .chart()
                            .title());
        } catch (FormatException refused) {
            assertTrue(refused.getMessage().contains("XML"));
        }
    }

    /** Any bytes give a score or a reason, never anything else, and never take long. */
    @Test
    void damagedFiles_areReadOrRefused() {
        byte[] whole = score(FOUR + harmony("C") + note("E4", 4), bar("F"), bar("G"));
        byte[] packed = MxlFile.pack(new String(whole, StandardCharsets.UTF_8));
        Random random = new Random(11);
        for (int i = 0; i < 600; i++) {
            byte[] damaged = (i % 2 == 0 ? whole : packed).clone();
            for (int hits = 1 + random.nextInt(6); hits > 0; hits--) {
                damaged[random.nextInt(damaged.length)] = (byte) random.nextInt(256);
            }
            try {
                assertTrue(MusicXmlReader.read(damaged).chart().bars() > 0);
            } catch (FormatException expected) {
                assertTrue(expected.getMessage().endsWith("."), expected.getMessage());
            }
        }
    }
}
