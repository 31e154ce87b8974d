package underhand.fill;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import underhand.fill.FillRule.Proposal;
import underhand.fill.Sketch.Moment;
import underhand.hand.Hold;
import underhand.neck.Shape;

/**
 * Hammer-ons and pull-offs between two notes of a chord's scale on one string, common practice: ninth and third where both
 * are in the key, third and eleventh where the ninth is not, minor and major third in a blues, root and ninth. They stand on
 * a string the grip sounds, where the hand is, never behind a barre that is held; an open string is nearest.
 */
final class Ornaments {

    /** Number of the interval. */
    private static final int THIRD = 3;

    private static final int NINTH = 2;
    private static final int MINOR_THIRD = 3;
    private static final int ELEVENTH = 5;

    /** Frets two fingers of a hand that stays reach from each other. */
    private static final int SPAN = 3;

    /**
     * Two notes above a root, the lower one first.
     *
     * @param variant blank for the usual one
     * @param held which of the two the grip has
     */
    private record Pair(String variant, int low, int high, int held, String from, String to) {}

    /** A pair on a string. */
    private record OnString(Pair pair, int string, int low, int high) {

        /** How far the fret that is not held lies from the hand; an open string is nearest. */
        int distance(int hand) {
            return low == 0 ? -1 : Math.max(Math.abs(low - hand), Math.abs(high - hand));
        }
    }

    private Ornaments() {}

    /** @param up whether the higher note is hammered on; else the lower one is pulled off to */
    static Proposal of(Gap gap, boolean up) {
        Optional<Integer> third = third(gap);
        if (third.isEmpty()) {
            return Proposal.none("The chord has no third.");
        }
        List<Sketch> sketches = new ArrayList<>();
        for (Pair pair : pairs(gap, third.get())) {
            strings(gap, pair)
                    .min(Comparator.comparingInt((OnString s) -> s.distance(gap.hand()))
                            .thenComparing(s -> -s.string()))
                    .ifPresent(s -> sketches.add(sketch(gap, s, up)));
        }
        return Proposal.of(
                sketches,
                "No string under the hand has two notes of the scale that can be slurred while the grip is held.");
    }

    /** Half steps of the chord's third above its root. */
    private static Optional<Integer> third(Gap gap) {
        return gap.chord().tones().stream()
                .filter(t -> t.interval().number() == THIRD)
                .map(t -> t.interval().semitones())
                .findFirst();
    }

    private static List<Pair> pairs(Gap gap, int third) {
        List<Pair> pairs = new ArrayList<>();
        boolean thirdInKey = inKey(gap, third);
        if (gap.isBlues() && third > MINOR_THIRD) {
            pairs.add(new Pair("blues", MINOR_THIRD, third, third, "minor third", "major third"));
        }
        if (inKey(gap, NINTH) && thirdInKey) {
            pairs.add(new Pair("", NINTH, third, third, "ninth", "third"));
        } else if (inKey(gap, ELEVENTH) && thirdInKey) {
            pairs.add(new Pair("", third, ELEVENTH, third, "third", "eleventh"));
        }
        if (inKey(gap, NINTH)) {
            pairs.add(new Pair("root", 0, NINTH, 0, "root", "ninth"));
        }
        return pairs;
    }

    private static boolean inKey(Gap gap, int aboveRoot) {
        return gap.inKey(gap.chord().root().pitchClass() + aboveRoot);
    }

    /** The strings that sound the pair's note of the grip and can have the other one. */
    private static Stream<OnString> strings(Gap gap, Pair pair) {
        int held = Math.floorMod(gap.chord().root().pitchClass() + pair.held(), 12);
        List<OnString> found = new ArrayList<>();
        for (int string = 0; string < gap.board().strings(); string++) {
            int fret = gap.shape().fret(string);
            if (fret != Shape.SILENT && Math.floorMod(gap.board().midi(string, fret), 12) == held) {
                int low = pair.held() == pair.low() ? fret : fret - (pair.high() - pair.low());
                OnString on = new OnString(pair, string, low, low + pair.high() - pair.low());
                if (isUnderTheHand(gap, on)) {
                    found.add(on);
                }
            }
        }
        return found.stream();
    }

    private static boolean isUnderTheHand(Gap gap, OnString on) {
        boolean onTheNeck = on.low() >= 0 && on.high() <= gap.highestFret();
        boolean reached = gap.reaches(on.low()) && gap.reaches(on.high()) && on.high() - on.low() <= SPAN;
        return onTheNeck && reached && !isBehindABarre(gap, on);
    }

    private static boolean isBehindABarre(Gap gap, OnString on) {
        for (Hold hold : gap.grip().holds()) {
            boolean covers = hold.lowString() <= on.string() && on.string() <= hold.highString();
            if (hold.isBarre() && covers && on.low() < hold.fret()) {
                return true;
            }
        }
        return false;
    }

    private static Sketch sketch(Gap gap, OnString on, boolean up) {
        double at = gap.beats() - 1;
        List<Integer> strings = List.of(on.string());
        Shape low = gap.with(on.string(), on.low());
        Shape high = gap.with(on.string(), on.high());
        Moment first = new Moment(at, FillRules.EIGHTH, up ? low : high, strings, Technique.PLUCKED);
        Moment second = new Moment(
                at + FillRules.EIGHTH,
                FillRules.EIGHTH,
                up ? high : low,
                strings,
                up ? Technique.HAMMER_ON : Technique.PULL_OFF);
        Pair pair = on.pair();
        String way = up
                ? "From the " + pair.from() + " to the " + pair.to() + " of " + gap.name()
                : "From the " + pair.to() + " down to the " + pair.from() + " of " + gap.name();
        String why = pair.variant().equals("blues") ? ": the bend of a blues." : ": both are in the key.";
        return new Sketch(pair.variant(), way + why, List.of(first, second), true);
    }
}
