package underhand.harmony;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import underhand.chord.ChordSymbol;

/** Puts readings together. */
final class ReadingFactory {

    private ReadingFactory() {}

    static Reading of(String rule, String reason, Reading.Step... steps) {
        return new Reading(ReadingId.parse(rule), List.of(steps), reason, false);
    }

    /** Another chord for the whole placement. */
    static Reading whole(String rule, Spot spot, ChordSymbol chord, String reason) {
        return of(rule, reason, new Reading.Step(chord, spot.beats()));
    }

    /** The placement's own chord in another form. */
    static Reading formed(String rule, Spot spot, Form form, String reason) {
        return of(rule, reason, new Reading.Step(spot.chord(), spot.beats(), form));
    }

    /** Chords that share the placement's time evenly. */
    static Reading shared(String rule, Spot spot, String reason, ChordSymbol... chords) {
        double each = spot.beats() / chords.length;
        return new Reading(
                ReadingId.parse(rule),
                Arrays.stream(chords).map(c -> new Reading.Step(c, each)).toList(),
                reason,
                false);
    }

    /**
     * The part of a row of chords that falls into one placement of a spell: chord i sounds from beat {@code i * each}
     * of the spell on, the last one to its end.
     */
    static Reading within(String rule, Spot spot, String reason, double each, List<Reading.Step> row) {
        List<Reading.Step> steps = new ArrayList<>();
        double end = spot.stillFrom() + spot.beats();
        for (int i = 0; i < row.size(); i++) {
            double from = Math.max(spot.stillFrom(), i * each);
            double to = i == row.size() - 1 ? end : Math.min(end, (i + 1) * each);
            if (to - from > 1e-9) {
                steps.add(new Reading.Step(
                        row.get(i).chord(), to - from, row.get(i).form()));
            }
        }
        return new Reading(ReadingId.parse(rule), steps, reason, true);
    }
}
