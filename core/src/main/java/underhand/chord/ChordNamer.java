package underhand.chord;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import underhand.pitch.Interval;
import underhand.pitch.Note;
import underhand.pitch.Pitch;

/**
 * Names a set of sounding pitches: {@code E G D F♯} is Em9 without its fifth.
 *
 * <p>Every root and every named type is tried. A name may leave out the perfect fifth, an inner ninth, or the root of
 * a chord with a seventh; it must account for every sounding note. Names are ordered by a cost: how plain the type is,
 * what is missing, whether the bass is the root. The costs are common practice put into numbers; the facts of the
 * trade they must reproduce are a test. Notes that lie high (all above {@link #NO_BASS_FROM_MIDI}) have no bass: their
 * inversion is not written.
 */
public final class ChordNamer {

    /** From this pitch (G3) upwards the lowest note of a shape is not heard as a bass. */
    private static final int NO_BASS_FROM_MIDI = 55;

    private static final double SLASH = 0.8;
    private static final double FOREIGN_BASS = 1.4;
    private static final double MISSING_FIFTH = 0.5;
    private static final double MISSING_NINTH = 0.4;
    private static final double MISSING_ROOT = 1.4;
    private static final int MOST_NAMES = 16;
    private static final int OCTAVE = 12;

    private static final String SHARP_ROOTS_OF_MINOR = "C# Eb F# G# Bb";
    private static final String ROOTS_OF_MAJOR = "Db Eb F# Ab Bb";

    /**
     * A name for what sounds.
     *
     * @param symbol the name; its bass is written only where it is heard as one
     * @param bass the lowest sounding note, spelled
     * @param missing intervals of the type that do not sound
     * @param cost how far-fetched the name is; 0 for a plain triad over its root
     */
    public record Name(ChordSymbol symbol, Note bass, List<Interval> missing, double cost) {}

    private static final double SPELLED_OUT = 3;

    private static final List<Interval> SIMPLEST = Stream.of(
                    "P1", "m9", "M9", "m3", "M3", "P11", "A11", "P5", "m13", "M13", "m7", "M7")
            .map(Interval::parse)
            .toList();

    /** What a minor third is above a major one. */
    private static final Interval SHARP_NINTH = Interval.parse("A9");

    private static final List<Interval> FIFTH = List.of(Interval.parse("P5"));

    private ChordNamer() {}

    /** The same over a bass that is written down, such as {@code C}. */
    public static List<Name> namesOver(List<Pitch> sounding, Optional<String> bassPlayer) {
        return names(sounding, bassPlayer.map(Note::parse));
    }

    /** Pitches without repeats, low to high, as the first of their names spells them. */
    public static List<String> spelled(List<Pitch> sounding, List<Name> names) {
        return sounding.stream()
                .map(p -> names.stream()
                        .findFirst()
                        .flatMap(n -> n.symbol().tones().stream()
                                .map(ChordSymbol.Tone::note)
                                .filter(note -> note.pitchClass() == p.pitchClass())
                                .findFirst())
                        .orElseGet(() -> Note.inPitchClass(p.pitchClass(), false)))
                .map(Note::toString)
                .distinct()
                .toList();
    }

    /**
     * All names that fit, best first; never empty for three or more different notes.
     *
     * @param sounding pitches of the shape, any order
     * @param bassPlayer pitch class somebody else plays below, if any
     */
    public static List<Name> names(List<Pitch> sounding, Optional<Note> bassPlayer) {
        Set<Integer> classes = new TreeSet<>();
        sounding.forEach(p -> classes.add(p.pitchClass()));
        bassPlayer.ifPresent(b -> classes.add(b.pitchClass()));
        if (classes.isEmpty()) {
            return List.of();
        }
        Pitch lowest = sounding.stream().min(Comparator.naturalOrder()).orElseThrow();
        int bass = bassPlayer.map(Note::pitchClass).orElse(lowest.pitchClass());
        boolean bassHeard = bassPlayer.isPresent() || lowest.midi() < NO_BASS_FROM_MIDI;
        List<Name> names = new ArrayList<>();
        for (int root = 0; root < OCTAVE; root++) {
            int above = above(classes, root);
            for (ChordTypes.Named named : ChordTypes.STANDARD.all()) {
                if (fits(above, named, 1 << Math.floorMod(bass - root, OCTAVE))) {
                    name(classes, root, named, bass, bassHeard).ifPresent(names::add);
                }
            }
        }
        if (classes.size() >= 3) {
            Set<Integer> named = new TreeSet<>();
            names.stream()
                    .filter(n -> n.missing().isEmpty())
                    .forEach(n -> named.add(n.symbol().root().pitchClass()));
            classes.stream()
                    .filter(root -> root == bass || !named.contains(root))
                    .map(root -> spelledOut(classes, root, bass))
                    .forEach(names::add);
        }
        return bestOfEach(names);
    }

    /** What sounds above a root, a bit for each step. */
    private static int above(Set<Integer> classes, int root) {
        int above = 0;
        for (int pitchClass : classes) {
            above |= 1 << Math.floorMod(pitchClass - root, OCTAVE);
        }
        return above;
    }

    /** Whether all that sounds is of a type, or it is all there over a foreign bass: most types are told apart by that at once. */
    private static boolean fits(int above, ChordTypes.Named named, int bass) {
        int foreign = above & ~named.allowed();
        return foreign == 0 || foreign == bass && (named.tones() & ~above) == 0;
    }

    private static List<Name> bestOfEach(List<Name> names) {
        Map<String, Name> bySymbol = new LinkedHashMap<>();
        names.stream()
                .sorted(Comparator.comparingDouble(Name::cost)
                        .thenComparing(n -> n.symbol().toString()))
                .forEach(n -> bySymbol.putIfAbsent(n.symbol().toString(), n));
        return bySymbol.values().stream().limit(MOST_NAMES).toList();
    }

    private static Optional<Name> name(
            Set<Integer> classes, int root, ChordTypes.Named named, int bass, boolean bassHeard) {
        ChordType type = named.type();
        List<Interval> missing = type.intervals().stream()
                .filter(i -> !classes.contains((root + i.pitchClass()) % 12))
                .toList();
        double cost = named.plainness();
        for (Interval interval : missing) {
            double price = priceOfMissing(interval, type, classes.size());
            if (Double.isInfinite(price)) {
                return Optional.empty();
            }
            cost += price;
        }
        boolean bassIsForeign = (named.allowed() >> Math.floorMod(bass - root, OCTAVE) & 1) == 0;
        boolean slash = bassIsForeign || bass != root && bassHeard;
        cost += bassIsForeign ? FOREIGN_BASS : slash ? SLASH : 0;
        Note rootNote = spellRoot(root, type);
        Note bassNote = spellBass(rootNote, type, bass);
        ChordSymbol symbol = new ChordSymbol(rootNote, type, slash ? Optional.of(bassNote) : Optional.empty());
        return Optional.of(new Name(symbol, bassNote, missing, cost));
    }

    private static double priceOfMissing(Interval interval, ChordType type, int sounding) {
        return switch (interval.number()) {
            case 1 -> type.has(7) && type.has(3) && sounding >= 3 ? MISSING_ROOT : Double.POSITIVE_INFINITY;
            case 5 -> interval.offset() == 0 && (type.has(3) || type.has(7)) ? MISSING_FIFTH : Double.POSITIVE_INFINITY;
            case 9 ->
                interval.offset() == 0 && (type.has(11) || type.has(13)) ? MISSING_NINTH : Double.POSITIVE_INFINITY;
            default -> Double.POSITIVE_INFINITY;
        };
    }

    private static Note spellRoot(int pitchClass, ChordType type) {
        Note natural = Note.inPitchClass(pitchClass, true);
        if (natural.alteration() == 0) {
            return natural;
        }
        boolean minor = type.hasInterval(Interval.parse("m3"));
        for (String name : (minor ? SHARP_ROOTS_OF_MINOR : ROOTS_OF_MAJOR).split(" ")) {
            Note note = Note.parse(name);
            if (note.pitchClass() == pitchClass) {
                return note;
            }
        }
        return natural;
    }

    private static Note spellBass(Note root, ChordType type, int bass) {
        return type.intervals().stream()
                .map(root::plus)
                .filter(n -> n.pitchClass() == bass && Math.abs(n.alteration()) < 2)
                .findFirst()
                .orElseGet(() -> Note.inPitchClass(bass, root.alteration() < 0));
    }

    /** A name of last resort on a root: each other note as the interval it makes, a fifth that is left out in place. */
    private static Name spelledOut(Set<Integer> classes, int root, int bass) {
        boolean isMajor = classes.contains((root + 4) % 12);
        List<Interval> intervals = classes.stream()
                .map(c -> Math.floorMod(c - root, 12))
                .map(step -> step == 3 && isMajor ? SHARP_NINTH : SIMPLEST.get(step))
                .toList();
        boolean hasThird = classes.contains((root + 3) % 12) || classes.contains((root + 4) % 12);
        List<Interval> missing = hasThird && !classes.contains((root + 7) % 12) ? FIFTH : List.of();
        ChordType type = ChordTypes.STANDARD.of(
                Stream.concat(intervals.stream(), missing.stream()).toList());
        Note rootNote = spellRoot(root, type);
        Note bassNote = spellBass(rootNote, type, bass);
        Optional<Note> slash = bass == root ? Optional.empty() : Optional.of(bassNote);
        double cost = SPELLED_OUT + (bass == root ? 0 : SLASH) + MISSING_FIFTH * missing.size();
        return new Name(new ChordSymbol(rootNote, type, slash), bassNote, missing, cost);
    }
}
