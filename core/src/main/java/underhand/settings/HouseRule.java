package underhand.settings;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import underhand.harmony.Preferences.MinorDominant;
import underhand.harmony.Preferences.SeventhDegree;
import underhand.input.RangeException;
import underhand.picking.School;

/**
 * A question good players answer differently, and what holds until somebody answers it. A new one is a line here: readers,
 * stored documents and the description of the API go by {@link #all()}.
 *
 * @param <T> what answers it: true or false, a number from -1 to 1, or a side
 */
public final class HouseRule<T> {

    /** -1 dry (no open strings) to 1 ringing (open strings sought, also under a hand up the neck). */
    public static final HouseRule<Double> RING = scale("ring");

    /** -1 a still top line to 1 a moving one. */
    public static final HouseRule<Double> MOTION = scale("motion");

    /** Whether what is repeated is played like the first time. */
    public static final HouseRule<Boolean> REPEATS_ALIKE = flag("repeatsAlike", true);

    /** Whether a capo may be looked for; one asked for by its fret is put on all the same. */
    public static final HouseRule<Boolean> CAPO = flag("capo", true);

    /** Whether the thumb may stop the lowest string. */
    public static final HouseRule<Boolean> THUMB = flag("thumb", false);

    public static final HouseRule<MajorBarre> MAJOR_BARRE = sides("majorBarre", MajorBarre.EITHER);

    public static final HouseRule<Fullness> FULLNESS = sides("fullness", Fullness.BY_SETTING);

    /** What stands on the seventh degree of a major key. */
    public static final HouseRule<SeventhDegree> SEVENTH_DEGREE = sides("seventhDegree", SeventhDegree.BY_RUNG);

    /** The ninth of a dominant that leads to a minor chord. */
    public static final HouseRule<MinorDominant> MINOR_DOMINANT = sides("minorDominant", MinorDominant.FLAT_NINE);

    /** Which finger of the right hand takes which string. */
    public static final HouseRule<School> PICKING_HAND = sides("pickingHand", School.PIMA);

    public static final HouseRule<Filling> FILLING = sides("filling", Filling.BY_SETTING);

    private static final List<HouseRule<?>> ALL = List.of(
            RING,
            MOTION,
            REPEATS_ALIKE,
            CAPO,
            THUMB,
            MAJOR_BARRE,
            FULLNESS,
            SEVENTH_DEGREE,
            MINOR_DOMINANT,
            PICKING_HAND,
            FILLING);

    private final String id;
    private final T usual;
    private final List<String> sides;
    private final String answers;
    private final Function<Object, Optional<T>> reader;

    private HouseRule(String id, T usual, List<String> sides, String answers, Function<Object, Optional<T>> reader) {
        this.id = id;
        this.usual = usual;
        this.sides = sides;
        this.answers = answers;
        this.reader = reader;
    }

    private static HouseRule<Double> scale(String id) {
        return new HouseRule<>(
                id,
                0.0,
                List.of(),
                "-1 to 1",
                value -> Optional.of(value)
                        .filter(Number.class::isInstance)
                        .map(number -> ((Number) number).doubleValue())
                        .filter(number -> number >= -1 && number <= 1));
    }

    private static HouseRule<Boolean> flag(String id, boolean usual) {
        return new HouseRule<>(
                id,
                usual,
                List.of(),
                "true or false",
                value -> Optional.of(value).filter(Boolean.class::isInstance).map(Boolean.class::cast));
    }

    private static <E extends Enum<E>> HouseRule<E> sides(String id, E usual) {
        List<E> values = List.of(usual.getDeclaringClass().getEnumConstants());
        List<String> ids = values.stream().map(HouseRule::sideId).toList();
        return new HouseRule<>(
                id,
                usual,
                ids,
                "one of " + String.join(", ", ids),
                value -> values.stream()
                        .filter(side -> side == value || sideId(side).equals(value))
                        .findFirst());
    }

    private static String sideId(Enum<?> side) {
        return side.name().toLowerCase(Locale.ROOT);
    }

    public static List<HouseRule<?>> all() {
        return ALL;
    }

    /** The rule of an id. */
    public static Optional<HouseRule<?>> of(String id) {
        return ALL.stream()
                .<HouseRule<?>>map(r -> r)
                .filter(r -> r.id.equals(id))
                .findFirst();
    }

    public String id() {
        return id;
    }

    /** What holds while nobody has said anything. */
    public T usual() {
        return usual;
    }

    /** Ids of the sides that can be taken; none for a rule that is a number, or true or false. */
    public List<String> sides() {
        return sides;
    }

    /**
     * An answer as it is written down: a Boolean, a Number, or the id of a side; or as it is.
     *
     * @throws IllegalArgumentException saying what the rule takes
     */
    public T read(Object answer) {
        return reader.apply(answer).orElseThrow(() -> RangeException.outside("houseRules." + id, answer, answers));
    }

    /** An answer as {@link #read} takes it back. */
    Object written(Object answer) {
        return answer instanceof Enum<?> side ? sideId(side) : answer;
    }

    @Override
    public String toString() {
        return id;
    }
}
