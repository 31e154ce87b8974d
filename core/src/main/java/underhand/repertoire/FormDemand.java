package underhand.repertoire;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import underhand.chord.ChordSymbol;
import underhand.hand.Grip;
import underhand.harmony.Form;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.neck.ToneDemand;
import underhand.settings.Voicing;
import underhand.texture.Family;
import underhand.texture.Structure;
import underhand.texture.TextureAsk;

/**
 * What a form of a chord, or a texture, asks of its shapes and grips.
 *
 * @param demands tones that may and must sound: one of these has to be met
 */
record FormDemand(List<ToneDemand> demands, Predicate<Shape> shapes, Predicate<Grip> grips) {

    /** A barre over more strings than this is a full one. */
    private static final int LONGEST_FRAGMENT_BARRE = 3;

    private static final int PART_STRINGS = 3;

    FormDemand(ToneDemand demand, Predicate<Shape> shapes, Predicate<Grip> grips) {
        this(List.of(demand), shapes, grips);
    }

    /**
     * What a texture asks of a chord's shapes.
     *
     * @param attempt how often nothing was found before
     */
    static FormDemand of(TextureAsk ask, int attempt, ChordSymbol chord, Voicing voicing, Fretboard board) {
        boolean bassElsewhere = voicing.lowestElsewhere(chord);
        List<ToneDemand> demands = new ArrayList<>();
        Set<Family> families = ask.families(attempt, bassElsewhere);
        if (families.isEmpty()) {
            demands.add(ToneDemand.of(chord, voicing.rootElsewhere(), voicing.bassElsewhere()));
        }
        for (Family family : families) {
            ToneDemand whole = ToneDemand.of(chord, voicing.rootElsewhere(), voicing.bassElsewhere());
            ToneDemand demand = tones(family, chord, whole);
            if (!demands.contains(demand)) {
                demands.add(demand);
            }
        }
        return new FormDemand(demands, shape -> ask.takes(attempt, shape, chord, board, bassElsewhere), grip -> true);
    }

    /** What a family asks of a chord's shapes, over whichever of its tones in the bass. */
    static FormDemand of(Family family, ChordSymbol chord, Fretboard board) {
        ToneDemand whole = ToneDemand.of(chord.withoutBass(), false, true);
        return new FormDemand(
                tones(family, chord, whole),
                shape -> new Structure(shape, chord, board, true).isOf(family),
                grip -> true);
    }

    private static ToneDemand tones(Family family, ChordSymbol chord, ToneDemand whole) {
        return switch (family) {
            case OPEN, FORM, SHELL, MUTED -> whole;
            case GUIDE -> ToneDemand.ofIntervals(chord, 3, 7);
            case DROP_2, DROP_3, TRIAD -> ToneDemand.of(chord.withoutBass(), true, true);
            case TENTH -> ToneDemand.ofIntervals(chord, 1, 3);
            case POWER -> ToneDemand.ofIntervals(chord, 1, 5);
            case DROPPED -> dropped(chord);
        };
    }

    /** Over a third in the bass root and third, else root and fifth and what the chord has for a third. */
    private static ToneDemand dropped(ChordSymbol chord) {
        boolean isOverThird = chord.tones().stream()
                .anyMatch(t -> t.interval().number() == 3
                        && t.note().pitchClass() == chord.lowest().pitchClass());
        boolean hasThird = chord.type().has(3);
        return isOverThird
                ? ToneDemand.ofIntervals(chord, 1, 3)
                : ToneDemand.ofIntervals(chord, 1, 5, hasThird ? 3 : 2);
    }

    static FormDemand of(Form form, ChordSymbol chord, Voicing voicing, Fretboard board) {
        ToneDemand whole = ToneDemand.of(chord, voicing.rootElsewhere(), voicing.bassElsewhere());
        return switch (form.kind()) {
            case WHOLE -> new FormDemand(whole, shape -> true, grip -> true);
            case PART ->
                new FormDemand(ToneDemand.of(chord.withoutBass(), true, true), FormDemand::isPart, grip -> true);
            case TENTH ->
                new FormDemand(ToneDemand.ofIntervals(chord, 1, 3), shape -> isTenth(shape, chord, board), g -> true);
            case GUIDE_TONES ->
                new FormDemand(ToneDemand.ofIntervals(chord, 3, 7), shape -> shape.sounding() == 2, grip -> true);
            case FRAGMENT ->
                new FormDemand(
                        whole,
                        shape -> true,
                        grip -> grip.barres().stream().allMatch(h -> h.strings() <= LONGEST_FRAGMENT_BARRE));
            case MOVABLE -> new FormDemand(whole, shape -> shape.openStrings() == 0, grip -> true);
            case TOP -> new FormDemand(whole, shape -> isAt(shape, form, board, true), grip -> true);
            case INSIDE -> new FormDemand(whole, shape -> isAt(shape, form, board, false), grip -> true);
        };
    }

    /** The same, and what another asks of shapes and grips besides. */
    FormDemand and(FormDemand other) {
        return new FormDemand(demands, shapes.and(other.shapes), grips.and(other.grips));
    }

    private static boolean isPart(Shape shape) {
        int low = shape.lowestSounding().orElse(0);
        return shape.sounding() == PART_STRINGS && shape.highestSounding() - low + 1 == PART_STRINGS;
    }

    /** The root on one of the two lowest strings, and its third ten steps above it. */
    private static boolean isTenth(Shape shape, ChordSymbol chord, Fretboard board) {
        int low = shape.lowestSounding().orElse(board.strings());
        if (low > 1 || shape.sounding() != 2) {
            return false;
        }
        int root = board.midi(low, shape.fret(low));
        int high = board.midi(shape.highestSounding(), shape.fret(shape.highestSounding()));
        boolean tenth = high - root == 15 || high - root == 16;
        return tenth && root % 12 == chord.root().pitchClass();
    }

    /** Whether a note sounds on top, or between the lowest and the highest string that sound. */
    private static boolean isAt(Shape shape, Form form, Fretboard board, boolean onTop) {
        int low = shape.lowestSounding().orElse(0);
        int high = shape.highestSounding();
        boolean top = isNote(shape, high, form.pitchClass(), board);
        boolean inside = false;
        for (int string = low + 1; string < high; string++) {
            boolean isWanted = form.string() == 0 || form.string() == shape.strings() - string;
            inside |= isWanted && isNote(shape, string, form.pitchClass(), board);
        }
        boolean topWanted = form.string() == 0 || form.string() == shape.strings() - high;
        return onTop ? top && topWanted : inside && !top;
    }

    private static boolean isNote(Shape shape, int string, int pitchClass, Fretboard board) {
        return !shape.isSilent(string) && board.midi(string, shape.fret(string)) % 12 == pitchClass;
    }
}
