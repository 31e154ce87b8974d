package underhand.harmony;

import java.util.ArrayList;
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
        return together(rule, spot, reason, Form.WHOLE, Bond.FREE, chords);
    }

    /** The same in one form, each chord bound to the next of them. */
    static Reading together(String rule, Spot spot, String reason, Form form, Bond bond, ChordSymbol... chords) {
        double each = spot.beats() / chords.length;
        List<Reading.Step> steps = new ArrayList<>();
        for (ChordSymbol chord : chords) {
            boolean isLast = steps.size() == chords.length - 1;
            steps.add(new Reading.Step(chord, each, form, isLast ? Bond.FREE : bond));
        }
        return new Reading(ReadingId.parse(rule), steps, reason, false);
    }

    /**
     * The part of a row of chords that falls into one placement of a spell: chord i sounds from beat {@code i * each}
     * of the spell on, the last one to its end.
     */
    static Reading within(String rule, Spot spot, String reason, double each, List<Reading.Step> row) {
        return within(ReadingId.parse(rule), spot, reason, each, spot.stillBeats(), row);
    }

    /** The same for a row that begins anew as often as it has room, after so many beats each time. */
    static Reading within(ReadingId id, Spot spot, String reason, double each, double every, List<Reading.Step> row) {
        List<Reading.Step> steps = new ArrayList<>();
        int rounds = Math.max(1, (int) Math.floor(spot.stillBeats() / every + 1e-9));
        double end = spot.stillFrom() + spot.beats();
        for (int round = 0; round < rounds; round++) {
            double start = round * every;
            double stop = round == rounds - 1 ? end : start + every;
            for (int i = 0; i < row.size(); i++) {
                double from = Math.max(spot.stillFrom(), start + i * each);
                double to = Math.min(end, i == row.size() - 1 ? stop : start + (i + 1) * each);
                if (to - from > 1e-9) {
                    Reading.Step step = row.get(i);
                    steps.add(new Reading.Step(step.chord(), to - from, step.form(), step.bond()));
                }
            }
        }
        return new Reading(id, steps, reason, true);
    }
}
