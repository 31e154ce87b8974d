package underhand.format.score;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.audiveris.proxymusic.Attributes;
import org.audiveris.proxymusic.Note;
import org.audiveris.proxymusic.Pitch;
import org.audiveris.proxymusic.ScorePartwise;
import org.audiveris.proxymusic.StartStop;
import org.audiveris.proxymusic.util.Marshalling;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import underhand.arrange.Arranger;
import underhand.neck.Tuning;
import underhand.part.Part;
import underhand.settings.ArrangementSettings;
import underhand.settings.SoloAsk;
import underhand.solo.Tunes;
import underhand.solve.Solo;

/** A score with the tune on top, read by somebody else's reader. */
class SoloScoreTest {

    static Stream<Arguments> tunes() {
        return Tunes.ALL.stream().flatMap(name -> Stream.of(2, 3, 4, 5).map(rung -> Arguments.of(name, rung)));
    }

    /** ProxyMusic, not our own reader, reads the upper voice: it is the tune. */
    @ParameterizedTest
    @MethodSource("tunes")
    void write_aTuneOnTop_isTheFirstVoice(String name, int rung) throws Exception {
        Part part = Part.of(
                new Arranger()
                        .arrange(
                                Tunes.chart(name),
                                ArrangementSettings.ofRung(rung).withSolo(SoloAsk.OPEN)),
                List.of());
        String xml = MusicXmlWriter.write(
                name, List.of(new ScoredPart("solo", part, Tuning.STANDARD, false, Handedness.RIGHT)));
        MusicXmlSchemaTest.validate(xml);
        List<String> tune = part.arrangement().solo().orElseThrow().notes().stream()
                .filter(Solo.Note::tune)
                .map(n -> n.midi() + " for "
                        + Math.round(n.beats() * part.bars().get(0).quartersABeat() * 1000))
                .toList();
        assertEquals(tune, firstVoice(xml));
    }

    /** Pitch and thousandths of a quarter of each note of the first voice, ties joined, as they sound. */
    private static List<String> firstVoice(String xml) throws Exception {
        ScorePartwise score =
                (ScorePartwise) Marshalling.unmarshal(new ByteArrayInputStream(xml.getBytes(StandardCharsets.UTF_8)));
        List<String> notes = new ArrayList<>();
        double length = 0;
        double divisions = 1;
        for (ScorePartwise.Part.Measure measure : score.getPart().get(0).getMeasure()) {
            for (Object item : measure.getNoteOrBackupOrForward()) {
                if (item instanceof Attributes attributes && attributes.getDivisions() != null) {
                    divisions = attributes.getDivisions().doubleValue();
                }
                if (item instanceof Note note && note.getVoice().equals("1") && note.getPitch() != null) {
                    length += note.getDuration().doubleValue();
                    boolean goesOn = note.getTie().stream().anyMatch(t -> t.getType() == StartStop.START);
                    if (!goesOn) {
                        notes.add(midi(note.getPitch()) + " for " + Math.round(length / divisions * 1000));
                        length = 0;
                    }
                }
            }
        }
        return notes;
    }

    private static int midi(Pitch pitch) {
        int step = "C D EF G A B".indexOf(pitch.getStep().value());
        int alter = pitch.getAlter() == null ? 0 : pitch.getAlter().intValue();
        return 12 * (pitch.getOctave() + 1) + step + alter;
    }
}
