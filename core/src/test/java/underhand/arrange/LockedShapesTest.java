package underhand.arrange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.chart.Chart;
import underhand.format.text.ChartTextReader;
import underhand.neck.Shape;
import underhand.settings.ArrangementSettings;
import underhand.settings.Lock;

/** Locks are places on the neck: another capo leaves them where they are, or lets them wait. */
class LockedShapesTest {

    private static final Chart CHART =
            ChartTextReader.read("key: G\ntempo: 60\n| Em7 | Am7 | D | G |").chart();
    private static final Arranger ARRANGER = new Arranger();

    private static Lock lock(int placement, String shape, int capo) {
        return new Lock(placement, 0, new Lock.OneShape(Shape.parse(shape), Optional.empty()), OptionalInt.of(capo));
    }

    private static ArrangementSettings with(Lock... locks) {
        return ArrangementSettings.ofRung(5).withLocks(List.of(locks));
    }

    @ParameterizedTest
    @CsvSource({"0, x-7-5-7-8-x", "2, x-5-3-5-6-x", "4, x-3-1-3-4-x"})
    void shape_withoutOpenStrings_staysWhereItIsOnTheNeck(int capo, String there) {
        Arrangement part =
                ARRANGER.arrange(CHART, with(lock(0, "x-7-5-7-8-x", 0)).withCapo(capo));
        assertTrue(part.placements().get(0).locked());
        assertEquals(
                Shape.parse(there),
                part.placements().get(0).grip().orElseThrow().grip().shape());
    }

    @Test
    void shape_withOpenStrings_waitsForItsCapoAndIsSaid() {
        ArrangementSettings settings = with(lock(3, "320003", 0));
        Arrangement there = ARRANGER.arrange(CHART, settings.withCapo(0));
        assertTrue(there.placements().get(3).locked());
        Arrangement elsewhere = ARRANGER.arrange(CHART, settings.withCapo(3));
        assertFalse(elsewhere.placements().get(3).locked());
        assertTrue(elsewhere.warnings().stream().anyMatch(w -> w.kind() == Warning.Kind.LOCK));
    }

    /** An open G chord's shape sounds G with the capo at 0, its E shape at 3 and its D shape at 5. */
    @ParameterizedTest
    @CsvSource({"0, 320003", "3, 022100", "5, xx0232"})
    void openCapo_goesWhereTheLockHolds(int capo, String shape) {
        assertEquals(capo, ARRANGER.arrange(CHART, with(lock(3, shape, capo))).capo());
    }

    @Test
    void region_isTheSamePartOfTheNeck() {
        Lock lock = new Lock(0, 0, new Lock.Region(5, 9), OptionalInt.of(0));
        assertEquals(Optional.of(new Lock.Region(3, 7)), lock.at(2));
        assertEquals(Optional.of(new Lock.Region(1, 3)), lock.at(6));
        assertEquals(Optional.empty(), lock.at(9));
    }

    @Test
    void lock_thatSaysNoCapo_countsFromWhereverItSits() {
        Lock lock = Lock.onShape(3, Shape.parse("320003"));
        assertEquals(Optional.of(lock.kept()), lock.at(7));
    }
}
