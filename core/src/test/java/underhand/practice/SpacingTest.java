package underhand.practice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The numbers of SM-2 as published (P. A. Woźniak, 1990; from memory). */
class SpacingTest {

    private static final LocalDate DAY = LocalDate.of(2026, 11, 1);

    @ParameterizedTest
    @CsvSource({"5, 2.60", "4, 2.50", "3, 2.36", "2, 2.18", "1, 1.96", "0, 1.70"})
    void easeChangesAsPublished(int quality, double ease) {
        assertEquals(ease, Spacing.first(DAY).after(quality, DAY).ease(), 1e-9);
    }

    /** Quality 4 leaves the ease alone: 1, 6, then 2.5 times as long each time, rounded up. */
    @Test
    void intervalsGrowAsPublished() {
        Spacing spacing = Spacing.first(DAY);
        LocalDate day = DAY;
        for (int days : new int[] {1, 6, 15, 38, 95}) {
            spacing = spacing.after(4, day);
            assertEquals(days, spacing.days());
            assertEquals(day.plusDays(days), spacing.due());
            day = spacing.due();
        }
    }

    @Test
    void aMissBeginsAnew_andTheEaseNeverFallsUnderItsLeast() {
        Spacing spacing = Spacing.first(DAY).after(5, DAY).after(5, DAY).after(5, DAY);
        for (int i = 0; i < 10; i++) {
            spacing = spacing.after(1, DAY);
            assertEquals(1, spacing.days());
            assertEquals(0, spacing.repetitions());
        }
        assertEquals(1.3, spacing.ease(), 1e-9);
    }

    @Test
    void noIntervalIsLongerThanHalfAYear() {
        Spacing spacing = Spacing.first(DAY);
        for (int i = 0; i < 20; i++) {
            spacing = spacing.after(5, DAY);
        }
        assertTrue(spacing.days() <= 183);
    }
}
