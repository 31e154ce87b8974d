package underhand.repertoire;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.ToIntFunction;
import underhand.chord.ChordSymbol;
import underhand.hand.FingersReader;
import underhand.hand.Parameters;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.harmony.Form;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.neck.ShapeFinder;
import underhand.repertoire.GripPool.Candidate;
import underhand.settings.HouseRules;
import underhand.settings.Setting;
import underhand.settings.Voicing;
import underhand.texture.Family;
import underhand.texture.TextureAsk;

/**
 * All grips of a chord on a neck for a player, a rung and a setting, cheapest first.
 *
 * <p>When the rung's limits leave a chord without any grip, the next rung's are tried, and what that costs is a term of
 * its own, so that a song always gets a part and says where it is too hard. Immutable; safe to share between threads.
 */
public final class GripFinder {

    /** Most frets above the capo that are searched. */
    public static final int HIGHEST_FRET = 15;

    private static final int UP_THE_NECK = 1;

    /** How far a shape that slides goes on every rung. */
    private static final int SLIDES_TO = 12;

    /** Grips that may stand for a chord that has none of its texture: the easiest of any kind. */
    private static final int STAND_INS = 12;

    /** From this rung on a hand is at home on the whole neck. */
    private static final int KNOWS_THE_NECK = 4;

    private static final int MOST_INNER_SILENT = 2;

    /** Up to this rung a strum goes over all strings from the lowest that sounds (common practice). */
    private static final int WHOLE_STRUMS = 2;

    /** Sums of the same costs in another order differ by less. */
    private static final double ROUNDING = 1e-6;

    private final Fretboard board;
    private final Rung rung;
    private final Player player;
    private final Voicing voicing;
    private final int highestFret;
    private final Parameters parameters;
    private final HouseRules houseRules;
    private final boolean isPicked;
    private final TextureAsk ask;

    /** Silent strings inside a shape that are looked at, as long as there is another one. */
    private final int mostInnerSilent;

    private final GripPrices prices;

    /** @param highestFret highest fret above the capo, on top of what the rung allows */
    public GripFinder(
            Fretboard board, Rung rung, Player player, Setting setting, int highestFret, Parameters parameters) {
        this(board, rung, player, Voicing.of(setting), highestFret, parameters);
    }

    /** The same with the numbers that ship. */
    public GripFinder(Fretboard board, Rung rung, Player player, Setting setting, int highestFret) {
        this(board, rung, player, setting, highestFret, Parameters.STANDARD);
    }

    /** The same for a voicing that no setting has by itself. */
    GripFinder(Fretboard board, Rung rung, Player player, Voicing voicing, int highestFret, Parameters parameters) {
        this(board, rung, player, voicing, highestFret, parameters, HouseRules.NONE, false, TextureAsk.FREE);
    }

    private GripFinder(
            Fretboard board,
            Rung rung,
            Player player,
            Voicing voicing,
            int highestFret,
            Parameters parameters,
            HouseRules houseRules,
            boolean picked,
            TextureAsk ask) {
        this.ask = ask;
        this.parameters = parameters;
        this.isPicked = picked;
        this.board = board;
        this.rung = rung;
        this.player = player;
        this.voicing = voicing;
        this.highestFret = highestFret;
        this.houseRules = houseRules;
        boolean isWhole = ask.texture().isWhole();
        this.mostInnerSilent = picked || !isWhole || rung.level() > WHOLE_STRUMS ? MOST_INNER_SILENT : 0;
        this.prices = new GripPrices(board, rung, player, voicing, houseRules, picked, ask, parameters);
    }

    /** The same search by other house rules. */
    GripFinder withHouseRules(HouseRules other) {
        return new GripFinder(board, rung, player, voicing, highestFret, parameters, other, false, ask);
    }

    /** The same search for a part that is picked string by string: the right hand leaves out what is silent. */
    GripFinder picked() {
        return new GripFinder(board, rung, player, voicing, highestFret, parameters, houseRules, true, ask);
    }

    /** The same search for a texture, by the hand of its lowest rung where the player's own is below that. */
    public GripFinder in(TextureAsk other) {
        Rung with = Rung.of(Math.max(rung.level(), other.texture().lowestRung()));
        return new GripFinder(board, with, player, voicing, highestFret, parameters, houseRules, isPicked, other);
    }

    public Fretboard board() {
        return board;
    }

    /**
     * Grips of a sounding chord, cheapest first.
     *
     * @param occurrences how often the song has the chord: a new shape is learnt once
     */
    public List<RatedGrip> find(ChordSymbol chord, int occurrences) {
        return pool(chord, occurrences).cheapest(Integer.MAX_VALUE).grips();
    }

    /**
     * The cheapest grips of a chord of a family on the whole neck, whichever of its tones is lowest.
     *
     * @param most how many
     */
    public List<RatedGrip> ofFamily(Family family, ChordSymbol chord, int most) {
        FormDemand wanted = FormDemand.of(family, chord, board);
        return pool(wanted, chord, 1, shape -> true, Integer.MAX_VALUE, level -> highestFret)
                .cheapest(most)
                .grips();
    }

    /** The grips of a sounding chord, to be searched as far as they are needed. */
    public GripPool pool(ChordSymbol chord, int occurrences) {
        return pool(chord, Form.WHOLE, occurrences, shape -> true);
    }

    /**
     * The grips of a form of a chord.
     *
     * @param where which shapes are looked at
     */
    public GripPool pool(ChordSymbol chord, Form form, int occurrences, Predicate<Shape> where) {
        return ask.isFree() || ask.ofAnyKind() || form.kind().isOfItsOwn()
                ? inForm(form, chord, occurrences, where)
                : inTexture(form, chord, occurrences, where);
    }

    /** The grips of a form that keep what is wished of all grips; where there is none, whichever there are. */
    private GripPool inForm(Form form, ChordSymbol chord, int occurrences, Predicate<Shape> where) {
        FormDemand wanted = FormDemand.of(form, chord, voicing, board);
        if (ask.hasWishes()) {
            Predicate<Shape> wished = where.and(shape -> ask.isWished(shape, chord, board));
            GripPool pool = pool(wanted, chord, occurrences, wished, Integer.MAX_VALUE);
            if (hasAny(pool)) {
                return pool;
            }
        }
        return pool(wanted, chord, occurrences, where, Integer.MAX_VALUE);
    }

    private boolean hasAny(GripPool pool) {
        List<RatedGrip> first = pool.cheapest(1).grips();
        return !first.isEmpty() && first.get(0).rung() <= rung.level();
    }

    /** The grips of the first families of the texture that have any in the form. */
    private GripPool inTexture(Form form, ChordSymbol chord, int occurrences, Predicate<Shape> where) {
        FormDemand formed = FormDemand.of(form, chord, voicing, board);
        int last = ask.tries(voicing.lowestElsewhere(chord)) - 1;
        for (int attempt = 0; attempt < last; attempt++) {
            FormDemand wanted =
                    FormDemand.of(ask, attempt, chord, voicing, board).and(formed);
            GripPool pool = pool(wanted, chord, occurrences, where, Integer.MAX_VALUE);
            if (hasAny(pool)) {
                return pool;
            }
        }
        return form.equals(Form.WHOLE)
                ? pool(FormDemand.of(ask, last, chord, voicing, board), chord, occurrences, where, STAND_INS)
                : inForm(form, chord, occurrences, where);
    }

    /** @param cap how many are looked at, the easiest */
    private GripPool pool(FormDemand wanted, ChordSymbol chord, int occurrences, Predicate<Shape> where, int cap) {
        return pool(wanted, chord, occurrences, where, cap, this::highestOf);
    }

    private GripPool pool(
            FormDemand wanted,
            ChordSymbol chord,
            int occurrences,
            Predicate<Shape> where,
            int cap,
            ToIntFunction<Rung> highestOf) {
        Predicate<Shape> shapes = wanted.shapes().and(where);
        GripPrices.OfChord price = prices.of(chord, occurrences);
        return new GripPool(
                new GripPool.Source() {

                    private int inner = -1;

                    /** Shapes of the chord that are known, by what limits them. */
                    private final Map<List<Integer>, List<Shape>> known = new HashMap<>();

                    @Override
                    public List<Candidate> candidates(Rung level, double above, double most) {
                        return candidates(
                                level, above, most, level.level() == Rung.HIGHEST ? inner() : mostInnerSilent);
                    }

                    /** Where no shape does without a silent string inside, those that have some are looked at. */
                    private int inner() {
                        if (inner < 0) {
                            double all = Double.POSITIVE_INFINITY;
                            boolean isThere = mostInnerSilent == MOST_INNER_SILENT
                                    || !candidates(
                                                    Rung.of(Rung.HIGHEST),
                                                    Double.NEGATIVE_INFINITY,
                                                    all,
                                                    mostInnerSilent)
                                            .isEmpty();
                            inner = isThere ? mostInnerSilent : MOST_INNER_SILENT;
                        }
                        return inner;
                    }

                    /** What the player or anybody knows is looked up, for it costs less than the rest, which is searched. */
                    private List<Candidate> candidates(Rung level, double above, double most, int inner) {
                        int highest = Math.min(highestFret, highestOf.applyAsInt(level));
                        double reach = player.spreads().widestMm(1, 4);
                        ShapeFinder finder = new ShapeFinder(board, highest, reach, inner);
                        List<Candidate> candidates = new ArrayList<>();
                        for (Shape shape : known(finder, highest, inner)) {
                            Candidate candidate = price.atAGlance(shape, level);
                            if (candidate.atLeast() > above && candidate.atLeast() <= most) {
                                candidates.add(candidate);
                            }
                        }
                        for (Shape shape : shapes(finder, price.bound(level), most + ROUNDING)) {
                            if (shapes.test(shape)) {
                                Candidate candidate = price.atAGlance(shape, level);
                                if (candidate.atLeast() > above
                                        && candidate.atLeast() <= most
                                        && !price.isKnown(candidate)) {
                                    candidates.add(candidate);
                                }
                            }
                        }
                        return candidates;
                    }

                    private List<Shape> known(ShapeFinder finder, int highest, int inner) {
                        return known.computeIfAbsent(
                                List.of(highest, inner),
                                limits -> wanted.demands().stream()
                                        .flatMap(demand -> price.known(demand).stream()
                                                .filter(shape -> finder.finds(demand, shape) && shapes.test(shape)))
                                        .distinct()
                                        .toList());
                    }

                    private Collection<Shape> shapes(ShapeFinder finder, ShapeFinder.Bound bound, double most) {
                        if (wanted.demands().size() == 1) {
                            return finder.find(wanted.demands().get(0), bound, most);
                        }
                        Set<Shape> shapes = new LinkedHashSet<>();
                        wanted.demands().forEach(demand -> shapes.addAll(finder.find(demand, bound, most)));
                        return shapes;
                    }

                    @Override
                    public Candidate exactly(Candidate candidate, Rung level) {
                        return price.exactly(candidate, level);
                    }

                    @Override
                    public void finger(Candidate candidate, Rung level, List<RatedGrip> found) {
                        price.rate(candidate, level, wanted.grips(), found);
                    }
                },
                rung,
                cap);
    }

    /** Textures with a place on the neck of their own go past where open chords end; one shape that slides is no harder up there. */
    private int highestOf(Rung level) {
        if (ask.texture().slides()) {
            return Math.max(level.highestFret(), SLIDES_TO);
        }
        boolean goesUp = ask.texture().isClosed() || ask.texture().led();
        return level.highestFret() + (goesUp && level.level() >= KNOWS_THE_NECK ? UP_THE_NECK : 0);
    }

    /** Every fingering of one shape, cheapest first, by the lowest rung from the player's own that can hold it. */
    public List<RatedGrip> fingerings(Shape shape, ChordSymbol chord, int occurrences) {
        GripPrices.OfChord price = prices.of(chord, occurrences);
        for (int level = rung.level(); level <= Rung.HIGHEST; level++) {
            List<RatedGrip> found = new ArrayList<>();
            Rung at = Rung.of(level);
            price.rate(price.atAGlance(shape, at), at, grip -> true, found);
            if (!found.isEmpty()) {
                found.sort(Comparator.comparingDouble(g -> g.effort().total()));
                return found;
            }
        }
        return List.of();
    }

    /**
     * One shape with the player's own fingers, by the lowest rung from the player's own that can hold it.
     *
     * @param fingers a sign a string, as {@link FingersReader} reads them
     * @return empty when the hand does not reach so far
     */
    public Optional<RatedGrip> fingered(Shape shape, String fingers, ChordSymbol chord, int occurrences) {
        return prices.of(chord, occurrences).fingered(FingersReader.read(shape, fingers, board));
    }
}
