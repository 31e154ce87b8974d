package underhand.practice;

import java.time.LocalDate;

/**
 * When a drill is due again, by SM-2 (P. A. Woźniak, "Optimization of repetition spacing in the practice of learning", 1990; from
 * memory): first after a day, then after six, then each time so many times longer as it is easy. A failed one begins anew.
 *
 * @param repetitions days in a row on which it was not missed
 * @param ease how much longer each interval is than the one before, 1.3 at least
 * @param days until it is due again
 */
record Spacing(int repetitions, double ease, int days, LocalDate due) {

    private static final double FIRST_EASE = 2.5;
    private static final double LEAST_EASE = 1.3;
    private static final int BEST = 5;
    private static final int PASSED = 3;
    private static final int SECOND_INTERVAL = 6;

    /** Never longer than half a year: fingers forget. */
    private static final int LONGEST = 183;

    static Spacing first(LocalDate today) {
        return new Spacing(0, FIRST_EASE, 0, today);
    }

    /** After a repetition of some quality, 0 to 5. */
    Spacing after(int quality, LocalDate day) {
        double off = BEST - quality;
        double newEase = Math.max(LEAST_EASE, ease + 0.1 - off * (0.08 + off * 0.02));
        if (quality < PASSED) {
            return new Spacing(0, newEase, 1, day.plusDays(1));
        }
        int next = repetitions == 0
                ? 1
                : repetitions == 1 ? SECOND_INTERVAL : (int) Math.min(LONGEST, Math.ceil(days * newEase));
        return new Spacing(repetitions + 1, newEase, next, day.plusDays(next));
    }
}
