package underhand.practice;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.hand.Player;
import underhand.neck.Shape;
import underhand.practice.Run.Result;

/** A shape is one's own after clean runs on some days, the last one among them. */
class MasteredTest {

    private static final Instant FIRST = Instant.parse("2026-05-01T18:00:00Z");
    private static final String CHANGE = "loop:x32010/-32-1->133211/134211@0 ";
    private static final String STANDARD = "E2 A2 D3 G3 B3 E4";

    /** A run a day, by the first letter of how it went: clean, rough, missed, discomfort; two on one day joined by +. */
    private static List<Run> runs(String days, String tuning) {
        List<Run> runs = new ArrayList<>();
        String[] each = days.split(" ");
        for (int day = 0; day < each.length; day++) {
            for (String letter : each[day].split("\\+")) {
                Result result = switch (letter) {
                    case "c" -> Result.CLEAN;
                    case "r" -> Result.ROUGH;
                    case "m" -> Result.MISSED;
                    default -> Result.DISCOMFORT;
                };
                Instant at = FIRST.plus(Duration.ofDays(day)).plusSeconds(60L * runs.size());
                runs.add(new Run(CHANGE + tuning, result, 80, OptionalDouble.empty(), at));
            }
        }
        return runs;
    }

    @ParameterizedTest
    @CsvSource({
        "c c c c, true",
        "c c c, false",
        "c+c+c+c, false",
        "c c c c m, false",
        "c c c c m c, true",
        "m r c c r c c, true",
        "c c c c d, false"
    })
    void aShapeIsOnesOwn(String days, boolean own) {
        Set<Shape> mastered = new DrillLog(runs(days, STANDARD), ZoneOffset.UTC).mastered();
        assertEquals(own ? Set.of(Shape.parse("133211")) : Set.of(), mastered);
    }

    @Test
    void shapesOfOtherTunings_areNot() {
        assertEquals(Set.of(), new DrillLog(runs("c c c c c", "D2 A2 D3 G3 B3 E4"), ZoneOffset.UTC).mastered());
    }

    @Test
    void aHandKnowsWhatItMastered_andNothingElseOfItChanges() {
        Player hand = Player.ADULT.times(1.2);
        Player knowing = hand.knowing(Set.of(Shape.parse("133211")));
        assertEquals(Set.of(Shape.parse("133211")), knowing.shapes());
        assertEquals(hand.changeFactor(), knowing.changeFactor());
        assertEquals(hand.spreads(), knowing.spreads());
        assertEquals(knowing, knowing.knowing(Set.of(Shape.parse("133211"))));
    }
}
