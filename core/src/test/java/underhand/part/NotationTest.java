package underhand.part;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.arrange.Arrangement;
import underhand.arrange.Arranger;
import underhand.chart.Chart;
import underhand.fill.Fill;
import underhand.fill.Fills;
import underhand.hand.Grip;
import underhand.picking.PatternPlan;
import underhand.settings.ArrangementSettings;
import underhand.settings.HouseRule;
import underhand.settings.HouseRules;

class NotationTest {

    /** Every bar filled by its events; every finger written where it first presses, or presses again, in its chord; a barre once. */
    static void check(Part part) {
        List<Notation.WrittenBar> written = Notation.of(part);
        assertEquals(part.bars().size(), written.size());
        int struck = 0;
        int place = -1;
        Map<Integer, String> pressed = new HashMap<>();
        for (Notation.WrittenBar bar : written) {
            int at = 0;
            for (Notation.Event event : bar.events()) {
                assertEquals(at, event.from());
                at += event.length();
                if (event.notes().isEmpty()) {
                    assertTrue(!event.begins() && event.fingered().isEmpty());
                    continue;
                }
                struck++;
                assertEquals(event.place() != place, event.begins());
                if (event.begins()) {
                    pressed.clear();
                }
                place = event.place();
                Grip grip = part.arrangement()
                        .placements()
                        .get(place)
                        .grip()
                        .orElseThrow()
                        .grip();
                for (PlayedNote note : event.notes()) {
                    boolean ofTheGrip = grip.shape().fret(note.string()) == note.fret()
                            && grip.fingerOn(note.string()) == note.leftFinger();
                    String now = note.fret() + " by " + note.leftFinger() + (ofTheGrip ? "" : " on " + note.string());
                    boolean isNew = !pressed.containsValue(now);
                    pressed.put(note.string(), now);
                    assertEquals(note.fret() > 0 && isNew, event.fingered().contains(note.string()), event.toString());
                }
            }
            assertEquals(bar.length(), at, "bar " + bar.bar().number());
        }
        assertEquals(part.strikes().size(), struck);
    }

    /** Fingers as a teacher writes them in: once for each note pressed of a broken chord, and for those of a fill. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "| D | D |; arpeggio-up-down; ; - 1 3 2 - - - - | - 1 3 2 - - - -",
                "| C |; arpeggio-up-down; ; 3 - 1 - - - - -",
                "| F#m |; arpeggio-up-down; ; 1 - - - - - - -",
                "| C | Am |; ; bass-walk:scale; 321 - - 3 | 231 - - -",
            })
    void fingered_ofAPattern_isWhereEachIsFirstHeard(String chords, String pattern, String fill, String expected) {
        Chart chart = PartTest.chart("key: C\n" + chords);
        ArrangementSettings settings =
                ArrangementSettings.ofRung(3).withCapo(0).withHouseRules(HouseRules.NONE.with(HouseRule.CAPO, false));
        ArrangementSettings picked =
                settings.withPatterns(pattern == null ? PatternPlan.BEAT : PatternPlan.of(PartTest.pattern(pattern)));
        Arrangement arrangement = new Arranger().arrange(chart, picked);
        List<Fill> fills = new Fills(arrangement)
                .at(0).fills().stream().filter(f -> f.id().equals(fill)).toList();
        String written = Notation.of(PartWriter.write(arrangement, fills)).stream()
                .map(bar -> bar.events().stream().map(NotationTest::fingers).collect(Collectors.joining(" ")))
                .collect(Collectors.joining(" | "));
        assertEquals(expected, written);
    }

    /** A palm lies from the first muted stroke to the last before one that rings, and no farther than the bar. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {"muted-eighths; 0-7 | 0-7", "shuffle-strum; 0-0 3-3 | 0-0 3-3", "folk-strum; | "})
    void palmMuted_ofAPattern_areTheseRuns(String pattern, String expected) {
        ArrangementSettings settings =
                ArrangementSettings.ofRung(3).withPatterns(PatternPlan.of(PartTest.pattern(pattern)));
        Arrangement arrangement = new Arranger().arrange(PartTest.chart("key: E\ntempo: 100\n| E5 | A5 |"), settings);
        String found = Notation.of(PartWriter.write(arrangement, List.of())).stream()
                .map(bar -> bar.palmMuted().stream()
                        .map(run -> run.first() + "-" + run.last())
                        .collect(Collectors.joining(" ")))
                .collect(Collectors.joining(" | "));
        assertEquals(expected.strip(), found.strip());
    }

    private static String fingers(Notation.Event event) {
        String fingers = event.notes().stream()
                .filter(n -> event.fingered().contains(n.string()))
                .map(n -> Integer.toString(n.leftFinger()))
                .collect(Collectors.joining());
        return fingers.isEmpty() ? "-" : fingers;
    }

    /** A bar is like the one before where it looks and is called the same; a section begins with what it has written out. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "| C | C | G | G | G |; beat-strum; 01011",
                "| C | C | G | G | G |; arpeggio-up; 01011",
                "| C | C Am | C Am | Am |; beat-strum; 0010",
                "[A] | C | C | [B] | C | C |; beat-strum; 0101",
                "| Am7 | C6 | Am7 | Am7 |; beat-strum; 0001",
                "| N.C. | N.C. | C |; beat-strum; 000",
            })
    void bars_likeTheOneBefore(String chart, String pattern, String again) {
        String text = chart.replace("] |", "]\n|").replace("| [", "|\n[");
        assertEquals(
                again,
                Notation.of(part(2, text, pattern)).stream()
                        .map(bar -> bar.again() ? "1" : "0")
                        .collect(Collectors.joining()));
    }

    /** The frets of a strum stand once in a bar for each chord; of plucked notes every one does. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "2; | C |; beat-strum; 0111",
                "2; | C G |; beat-strum; 0101",
                "2; | C |; arpeggio-up; 00000000",
                "4; | C |; funk-sixteenths; 0001001001001001",
            })
    void frets_areWrittenOnceForAStrum(int rung, String chart, String pattern, String heard) {
        Notation.WrittenBar bar =
                Notation.of(part(rung, "tempo: 60\n" + chart, pattern)).get(0);
        assertEquals(
                heard,
                bar.events().stream().map(e -> bar.isHeard(e) ? "1" : "0").collect(Collectors.joining()));
    }

    private static Part part(int rung, String text, String pattern) {
        ArrangementSettings settings =
                ArrangementSettings.ofRung(rung).withCapo(0).withPatterns(PatternPlan.of(PartTest.pattern(pattern)));
        return PartWriter.write(new Arranger().arrange(PartTest.chart(text), settings), List.of());
    }
}
