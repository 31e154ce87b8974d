package underhand.harmony;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import underhand.chord.ChordSymbol;
import underhand.harmony.Function.Kind;
import underhand.pitch.Key;
import underhand.pitch.Mode;

/** Tells the function of every chord from its degree, its quality and its neighbours. All of it is common practice. */
final class FunctionReader {

    private static final String[] NAMES = {
        "tonic", "second degree", "third degree", "fourth degree", "dominant", "sixth degree", "seventh degree"
    };

    /** Chords of one root that carry a falling line. */
    private static final Set<String> LINE = Set.of("m", "m(maj7)", "m7", "m6");

    private static final int[] TURNAROUND = {0, 9, 2, 7};

    private final List<Spot> spots;

    FunctionReader(List<Spot> spots) {
        this.spots = spots;
    }

    List<Function> read() {
        List<Function> functions = new ArrayList<>();
        for (int i = 0; i < spots.size(); i++) {
            Function function = of(i);
            functions.add(isInChain(i) ? function.with(", in a chain of seconds and fifths") : function);
        }
        return List.copyOf(functions);
    }

    /** Whether it stands in two or more pairs of second and dominant in a row. */
    private boolean isInChain(int i) {
        for (int two = i - 1; two <= i; two++) {
            if (isTwoFive(two) && (isTwoFive(two - 2) || isTwoFive(two + 2))) {
                return true;
            }
        }
        return false;
    }

    private boolean isTwoFive(int i) {
        boolean minor = at(i).map(Spot::quality)
                .filter(q -> q == Quality.MINOR || q == Quality.HALF_DIMINISHED)
                .isPresent();
        boolean dominant =
                at(i + 1).filter(s -> s.quality() == Quality.DOMINANT).isPresent();
        return minor
                && dominant
                && spots.get(i).chord().type().has(7)
                && spots.get(i).leadsOn();
    }

    private Optional<Spot> at(int i) {
        return i >= 0 && i < spots.size() ? Optional.of(spots.get(i)) : Optional.empty();
    }

    private Function of(int i) {
        Spot spot = spots.get(i);
        if (isInTurnaround(i)) {
            return new Function(Kind.TURNAROUND, numeral(spot), "part of a turnaround: I VI ii V");
        }
        if (isInLine(i)) {
            return new Function(Kind.LINE, numeral(spot), "the " + numeral(spot) + ", part of a falling line");
        }
        return switch (spot.quality()) {
            case DIMINISHED -> diminished(spot);
            case DOMINANT -> dominant(spot);
            case MINOR, HALF_DIMINISHED -> second(i).orElseGet(() -> plain(spot));
            default -> major(spot);
        };
    }

    private static String numeral(Spot spot) {
        return Degree.of(spot.chord(), spot.key());
    }

    /** A degree without its quality's suffix: {@code ii} for Dm7 in C. */
    private static String bare(ChordSymbol chord, Key key) {
        return Degree.of(new ChordSymbol(chord.root(), triad(chord).type(), Optional.empty()), key);
    }

    private static ChordSymbol triad(ChordSymbol chord) {
        String suffix = switch (Quality.of(chord)) {
            case MINOR -> "m";
            case DIMINISHED, HALF_DIMINISHED -> "dim";
            default -> "";
        };
        return ChordSymbol.parse(chord.root() + suffix);
    }

    private boolean isInTurnaround(int i) {
        if (spots.get(i).barsLeft() > 2) {
            return false;
        }
        for (int start = i - 3; start <= i; start++) {
            boolean all = start >= 0;
            for (int k = 0; all && k < 4; k++) {
                Optional<Spot> spot = at(start + k);
                all = spot.isPresent()
                        && spot.get().barsLeft() <= 2
                        && spot.get().aboveTonic() == TURNAROUND[k];
            }
            if (all) {
                return true;
            }
        }
        return false;
    }

    private boolean isInLine(int i) {
        Spot spot = spots.get(i);
        return LINE.contains(spot.chord().type().suffix()) && (isLine(i, i - 1) || isLine(i, i + 1));
    }

    private boolean isLine(int one, int other) {
        return at(other)
                .filter(o -> o.chord().root().equals(spots.get(one).chord().root()))
                .filter(o -> LINE.contains(o.chord().type().suffix()))
                .filter(o -> !o.chord().type().equals(spots.get(one).chord().type()))
                .isPresent();
    }

    private static Function diminished(Spot spot) {
        Function function = diminishedAmong(spot);
        return rootless(spot)
                .map(r -> function.with("; " + r + " without its root"))
                .orElse(function);
    }

    /**
     * The dominant with a flat ninth a diminished seventh chord is the upper part of: the next chord's own, or the next chord
     * itself, whichever has its notes.
     */
    private static Optional<String> rootless(Spot spot) {
        if (!spot.chord().type().suffix().equals("dim7") || spot.after().isEmpty()) {
            return Optional.empty();
        }
        ChordSymbol next = spot.after().get();
        return Stream.of(7, 0)
                .filter(up -> up == 0
                        ? Quality.of(next) == Quality.DOMINANT
                        : Quality.of(next).isGoal())
                .map(up -> spot.chordOn(next.root().pitchClass() + up, "7b9"))
                .filter(nine -> nine.tones().stream()
                        .skip(1)
                        .allMatch(t -> Tones.has(spot.chord(), t.note().pitchClass())))
                .map(ChordSymbol::glyphs)
                .findFirst();
    }

    private static Function diminishedAmong(Spot spot) {
        String numeral = numeral(spot);
        int way = spot.wayToNext();
        int from = spot.before()
                .map(b -> Math.floorMod(
                        spot.chord().root().pitchClass() - b.root().pitchClass(), 12))
                .orElse(-1);
        String next = spot.after().map(ChordSymbol::glyphs).orElse("");
        boolean intoBass = spot.after()
                .flatMap(ChordSymbol::bass)
                .filter(b -> Math.floorMod(b.pitchClass() - spot.chord().root().pitchClass(), 12) == 1)
                .isPresent();
        boolean passes = from == 1 && (way == 1 || intoBass) || from == 11 && way == 11;
        if (passes) {
            return new Function(
                    Kind.PASSING_DIMINISHED,
                    numeral,
                    "a diminished chord passing between "
                            + spot.before().map(ChordSymbol::glyphs).orElse("") + " and " + next);
        }
        if (spot.aboveTonic() == 11 && spot.key().mode() == Mode.MAJOR && way <= 0) {
            return plain(spot);
        }
        if (way == 1 || intoBass) {
            return new Function(Kind.LEADING_DIMINISHED, numeral, "a diminished chord leading up to " + next);
        }
        if (way == 0 || from == 0) {
            return new Function(
                    Kind.COMMON_TONE_DIMINISHED, numeral, "a diminished chord that keeps the root of its neighbour");
        }
        return plain(spot);
    }

    private static Function dominant(Spot spot) {
        boolean tonicBlues = spot.aboveTonic() == 0 || spot.aboveTonic() == 5;
        boolean restsThere =
                spot.after().map(a -> Quality.of(a) == Quality.DOMINANT).orElse(true);
        if (tonicBlues && (restsThere || !spot.leadsOn())) {
            return new Function(
                    Kind.BLUES,
                    numeral(spot),
                    "the " + numeral(spot) + " of a blues: a dominant that rests where it is");
        }
        if (spot.aboveTonic() == 7) {
            return new Function(Kind.DIATONIC, numeral(spot), "the dominant");
        }
        if (spot.aboveTonic() == 10 && nextIsTonic(spot)) {
            return new Function(
                    Kind.BACKDOOR, numeral(spot), "the seventh degree lowered, coming home by the back door");
        }
        if (spot.wayToNext() == 11) {
            return new Function(
                    Kind.TRITONE_SUBSTITUTE,
                    numeral(spot),
                    "a tritone off the dominant of " + next(spot) + ", in its place");
        }
        return secondary(spot).orElseGet(() -> plain(spot));
    }

    private static boolean nextIsTonic(Spot spot) {
        return spot.after()
                .filter(a -> a.root().pitchClass() == spot.key().tonic().pitchClass())
                .isPresent();
    }

    private static String next(Spot spot) {
        return spot.after().map(a -> bare(a, spot.key())).orElse("what follows");
    }

    private static Optional<Function> secondary(Spot spot) {
        if (!spot.leadsOn() || nextIsTonic(spot)) {
            return Optional.empty();
        }
        String goal = next(spot);
        String numeral = (spot.chord().type().has(7) ? "V7/" : "V/") + goal;
        return Optional.of(new Function(Kind.SECONDARY_DOMINANT, numeral, "the dominant of " + goal));
    }

    private static Function major(Spot spot) {
        boolean altered =
                spot.aboveTonic() == 2 || spot.aboveTonic() == 4 || spot.aboveTonic() == 9 || spot.aboveTonic() == 11;
        if (spot.key().mode() == Mode.MAJOR && altered && spot.quality() == Quality.MAJOR) {
            Optional<Function> secondary = secondary(spot);
            if (secondary.isPresent()) {
                return secondary.get();
            }
        }
        return plain(spot);
    }

    /** The second of a dominant that leads to another degree than the tonic. */
    private Optional<Function> second(int i) {
        Spot spot = spots.get(i);
        Optional<Spot> five = at(i + 1)
                .filter(s -> s.quality() == Quality.DOMINANT)
                .filter(s -> spot.wayToNext() == 5)
                .filter(Spot::leadsOn)
                .filter(s -> !nextIsTonic(s));
        boolean isPlainTwo = spot.degree() == 2 && isOfKey(spot);
        return five.filter(s -> !isPlainTwo).map(s -> {
            String goal = next(s);
            return new Function(
                    Kind.SECONDARY_TWO,
                    (spot.quality() == Quality.MINOR ? "ii7/" : "iiø7/") + goal,
                    "the second of " + goal + ", before its dominant");
        });
    }

    private static boolean isOfKey(Spot spot) {
        return spot.degree() > 0
                && triad(spot.chord()).tones().stream()
                        .allMatch(t -> spot.degreeOf(t.note().pitchClass()) > 0);
    }

    private static Function plain(Spot spot) {
        String numeral = numeral(spot);
        if (spot.degree() > 0
                && (isOfKey(spot) || spot.quality() == Quality.OPEN || spot.quality() == Quality.AUGMENTED)) {
            return new Function(Kind.DIATONIC, numeral, "the " + numeral + ", the " + NAMES[spot.degree() - 1]);
        }
        boolean minorKey = spot.key().mode() == Mode.MINOR;
        if (minorKey && spot.aboveTonic() == 7 && spot.quality() == Quality.MAJOR) {
            return new Function(Kind.DIATONIC, numeral, "the dominant, with its leading note");
        }
        Key parallel = new Key(spot.key().tonic(), minorKey ? Mode.MAJOR : Mode.MINOR);
        Spot there = spot.inScale(ModalScale.plain(parallel));
        if (isOfKey(there)) {
            return new Function(
                    Kind.BORROWED,
                    numeral,
                    "the " + numeral + " of the " + parallel.mode().label() + " key, borrowed");
        }
        return new Function(Kind.OUTSIDE, numeral, "the " + numeral + ", from outside the key");
    }
}
