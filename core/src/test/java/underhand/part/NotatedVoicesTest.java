package underhand.part;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import underhand.arrange.Arrangement;
import underhand.arrange.Arranger;
import underhand.chart.Chart;
import underhand.format.text.ChartTextReader;
import underhand.part.Notation.Event;
import underhand.part.Notation.WrittenBar;
import underhand.settings.ArrangementSettings;
import underhand.settings.SoloAsk;
import underhand.solo.Tunes;
import underhand.solve.Solo;

/** A tune stands on the staff as a voice of its own, its rhythm whole. */
class NotatedVoicesTest {

    private static Part part(Chart chart, int rung) {
        SoloAsk ask = new SoloAsk(SoloAsk.Under.CHORDS, OptionalInt.of(0), List.of());
        return Part.of(
                new Arranger()
                        .arrange(
                                chart,
                                ArrangementSettings.ofRung(rung).withCapo(0).withSolo(ask)),
                List.of());
    }

    private static Part part(String chart, int rung) {
        return part(ChartTextReader.read(chart).chart(), rung);
    }

    static Stream<Arguments> tunes() {
        return Tunes.ALL.stream().flatMap(name -> Stream.of(3, 5).map(rung -> Arguments.of(name, rung)));
    }

    @ParameterizedTest
    @MethodSource("tunes")
    void everyVoiceFillsItsBar(String name, int rung) {
        for (WrittenBar bar : Notation.of(part(Tunes.chart(name), rung))) {
            assertTrue(bar.voices().size() <= 2);
            for (List<Event> voice : bar.voices()) {
                int at = 0;
                for (Event event : voice) {
                    assertEquals(at, event.from());
                    at += event.length();
                }
                assertEquals(bar.length(), at);
            }
        }
    }

    /** The notes of the upper voice with what is tied joined again. */
    private static List<String> upperVoice(Part part) {
        List<String> notes = new ArrayList<>();
        double beats = 0;
        int midi = 0;
        double from = 0;
        for (WrittenBar bar : Notation.of(part)) {
            for (Event event : bar.voices().get(0)) {
                double length =
                        event.length() / (NoteValue.PER_QUARTER * bar.bar().quartersABeat());
                if (!event.notes().isEmpty()) {
                    assertEquals(1, event.notes().size());
                    if (!event.fromBefore()) {
                        from = bar.bar().from()
                                + event.from()
                                        / (NoteValue.PER_QUARTER * bar.bar().quartersABeat());
                        midi = event.notes().get(0).midi();
                        beats = 0;
                    }
                    beats += length;
                    if (!event.intoNext()) {
                        notes.add(String.format("%d at %.2f for %.2f", midi, from, beats));
                    }
                }
            }
        }
        return notes;
    }

    @ParameterizedTest
    @MethodSource("tunes")
    void theUpperVoiceIsTheTune(String name, int rung) {
        Part part = part(Tunes.chart(name), rung);
        Arrangement arrangement = part.arrangement();
        List<String> tune = arrangement.solo().orElseThrow().notes().stream()
                .filter(Solo.Note::tune)
                .map(n -> String.format("%d at %.2f for %.2f", n.midi(), n.from(), n.beats()))
                .toList();
        assertEquals(tune, upperVoice(part));
    }

    @Test
    void aNoteOverTheBarLineIsTied() {
        List<WrittenBar> bars = Notation.of(part("| C | C |\ntune: E4 . . G4 | . . E4 . |\n", 3));
        Event last = bars.get(0).voices().get(0).get(1);
        Event first = bars.get(1).voices().get(0).get(0);

        assertTrue(last.intoNext());
        assertTrue(first.fromBefore());
        assertFalse(first.begins());
        assertEquals(NoteValue.PER_QUARTER, last.length());
        assertEquals(2 * NoteValue.PER_QUARTER, first.length());
    }

    @Test
    void aTuneAloneIsOneVoice() {
        for (WrittenBar bar : Notation.of(part("| C |\ntune: E4 G4 E4 C4 |\n", 1))) {
            assertEquals(1, bar.voices().size());
        }
    }

    @Test
    void strokesWithoutATuneAreOneVoice() {
        for (WrittenBar bar : Notation.of(part("| C | G |\n", 3))) {
            assertEquals(List.of(bar.events()), bar.voices());
        }
    }
}
