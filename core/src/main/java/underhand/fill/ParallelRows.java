package underhand.fill;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import underhand.chord.ChordSymbol;
import underhand.fill.FillRule.Proposal;
import underhand.fill.Sketch.Moment;
import underhand.harmony.Degree;
import underhand.neck.Shape;

/**
 * Passing tenths, sixths and thirds: the notes of the scale between two roots, each with its third, one after the other on
 * one pair of strings, as many of them as there is time for.
 */
final class ParallelRows {

    private static final int OCTAVE = 12;
    private static final int MAJOR_THIRD = 4;
    private static final int MINOR_THIRD = 3;
    private static final int MOST_NOTES = 4;

    /** A hand that follows a row goes no further from where it stands. */
    private static final int FAR = 7;

    /** Which two notes of a third are heard, and on which strings. */
    enum Kind {
        /** The third an octave up, two strings between. */
        TENTHS("Tenths", 3, OCTAVE, 0),
        /** The third an octave down, one string between; the roots on the upper string. */
        SIXTHS("Sixths", 2, -OCTAVE, OCTAVE),
        /** The third itself, on the next string; the roots on the lower one. */
        THIRDS("Thirds", 1, 0, OCTAVE);

        private final String words;
        private final int stringsApart;
        private final int thirdMoved;

        /** How far the row may lie above the bass. */
        private final int highest;

        Kind(String words, int stringsApart, int thirdMoved, int highest) {
            this.words = words;
            this.stringsApart = stringsApart;
            this.thirdMoved = thirdMoved;
            this.highest = highest;
        }

        int low(int root, int third) {
            return Math.min(root, root + third + thirdMoved);
        }

        int high(int root, int third) {
            return Math.max(root, root + third + thirdMoved);
        }
    }

    /** Two frets on one pair of strings. */
    private record Pair(int low, int high) {

        int farFrom(int hand) {
            return Math.max(low == 0 ? 0 : Math.abs(low - hand), high == 0 ? 0 : Math.abs(high - hand));
        }
    }

    private ParallelRows() {}

    static Proposal of(Gap gap, Kind kind) {
        Optional<Integer> target = gap.nextBass();
        if (target.isEmpty() || target.get() == gap.bass()) {
            return Proposal.none("The bass goes nowhere.");
        }
        int direction = Integer.signum(target.get() - gap.bass());
        List<Integer> between = new ArrayList<>();
        for (int at = gap.neighbour(gap.bass(), direction);
                Integer.signum(target.get() - at) == direction;
                at = gap.neighbour(at, direction)) {
            between.add(at);
        }
        if (between.isEmpty()) {
            return Proposal.none("No note of the scale lies between the two roots.");
        }
        double each = between.size() <= gap.room() ? 1 : FillRules.EIGHTH;
        int most = (int) Math.min(MOST_NOTES, Math.floor(gap.room() / each));
        if (most == 0) {
            return Proposal.none("There is no time for a note between the two chords.");
        }
        List<Integer> roots = between.subList(Math.max(0, between.size() - most), between.size());
        return row(gap, kind, roots, each)
                .map(Proposal::of)
                .orElseGet(() -> Proposal.none("The notes between the two roots and their thirds are out of reach."));
    }

    /** The row on the strings nearest to the hand. */
    private static Optional<Sketch> row(Gap gap, Kind kind, List<Integer> roots, double each) {
        int nearest = FAR + 1;
        Optional<Sketch> best = Optional.empty();
        for (int up = 0; up <= kind.highest; up += OCTAVE) {
            for (int string = 0; string + kind.stringsApart < gap.board().strings(); string++) {
                List<Pair> pairs = pairs(gap, kind, roots, up, string);
                int far = pairs.stream()
                        .mapToInt(p -> p.farFrom(gap.hand()))
                        .max()
                        .orElse(FAR + 1);
                if (far < nearest) {
                    nearest = far;
                    best = Optional.of(sketch(gap, kind, roots, each, string, pairs));
                }
            }
        }
        return best;
    }

    /** The frets of a row on a pair of strings; empty where they have not all of its notes. */
    private static List<Pair> pairs(Gap gap, Kind kind, List<Integer> roots, int up, int string) {
        List<Pair> pairs = new ArrayList<>();
        for (int root : roots) {
            int third = third(gap, root);
            int low = kind.low(root + up, third) - gap.board().midi(string, 0);
            int high = kind.high(root + up, third) - gap.board().midi(string + kind.stringsApart, 0);
            if (low < 0 || high < 0 || Math.max(low, high) > gap.highestFret()) {
                return List.of();
            }
            pairs.add(new Pair(low, high));
        }
        return pairs;
    }

    private static int third(Gap gap, int root) {
        return gap.inKey(root + MAJOR_THIRD) ? MAJOR_THIRD : MINOR_THIRD;
    }

    private static Sketch sketch(Gap gap, Kind kind, List<Integer> roots, double each, int string, List<Pair> pairs) {
        int upper = string + kind.stringsApart;
        List<Moment> moments = new ArrayList<>();
        double from = gap.beats() - pairs.size() * each;
        for (Pair pair : pairs) {
            int[] frets = gap.silent();
            frets[string] = pair.low();
            frets[upper] = pair.high();
            moments.add(new Moment(from, each, Shape.of(frets), List.of(string, upper), Technique.PLUCKED));
            from += each;
        }
        int strings = gap.board().strings();
        String degrees = roots.stream().map(root -> degree(gap, root)).collect(Collectors.joining(", "));
        String words = String.format(
                "%s of the scale on strings %d and %d from %s to %s: %s.",
                kind.words, strings - string, strings - upper, gap.name(), gap.nextName(), degrees);
        return new Sketch("", words, moments);
    }

    private static String degree(Gap gap, int root) {
        String quality = third(gap, root) == MINOR_THIRD ? "m" : "";
        return Degree.of(ChordSymbol.parse(gap.key().spell(Math.floorMod(root, OCTAVE)) + quality), gap.key());
    }
}
