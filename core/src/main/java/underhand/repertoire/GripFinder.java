package underhand.repertoire;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import underhand.chord.ChordSymbol;
import underhand.hand.Effort;
import underhand.hand.EffortTerm;
import underhand.hand.FingeringSearch;
import underhand.hand.FingersReader;
import underhand.hand.Grip;
import underhand.hand.HandEffort;
import underhand.hand.Parameters;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.harmony.Form;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.neck.ShapeFinder;
import underhand.repertoire.GripPool.Candidate;
import underhand.settings.HouseRule;
import underhand.settings.HouseRules;
import underhand.settings.Setting;
import underhand.settings.Voicing;
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

    /** Past this fret the body of the guitar comes near. */
    private static final int COMFORTABLE = 10;

    /** Grips that may stand for a chord that has none of its texture: the easiest of any kind. */
    private static final int STAND_INS = 12;

    /** From this rung on a hand is at home on the whole neck, and a second guitar can leave the register of the first. */
    private static final int KNOWS_THE_NECK = 4;

    private static final int MOST_INNER_SILENT = 2;

    /** Up to this rung a strum goes over all strings from the lowest that sounds (common practice). */
    private static final int WHOLE_STRUMS = 2;

    /** Sums of the same costs in another order differ by less. */
    private static final double ROUNDING = 1e-6;

    /** Fingerings kept of a shape, the easiest; the others gain nothing in a change that they do not lose in the grip. */
    private static final int MOST_FINGERINGS = 6;

    private final Fretboard board;
    private final Rung rung;
    private final Player player;
    private final Voicing voicing;
    private final int highestFret;
    private final Parameters parameters;
    private final HouseRules houseRules;
    private final boolean isPicked;
    private final TextureAsk ask;
    private final Habit habit;
    private final double high;
    private final double beyond;

    /** Silent strings inside a shape that are looked at, as long as there is another one. */
    private final int mostInnerSilent;

    private final HandEffort hand;
    private final SoundEffort sound;

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
        this.habit = new Habit(rung, player, board.tuning(), !isWhole, parameters);
        this.high = isWhole ? 0 : parameters.get("texture.high");
        this.beyond = parameters.get("habit.beyond");
        this.mostInnerSilent = picked || !isWhole || rung.level() > WHOLE_STRUMS ? MOST_INNER_SILENT : 0;
        this.hand = new HandEffort(board, player, parameters);
        boolean apart = voicing.fullness() == Setting.SECOND && rung.level() >= KNOWS_THE_NECK;
        this.sound = new SoundEffort(
                board, voicing, houseRules, picked, apart, ask.texture().voices(), parameters);
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
        if (ask.isFree() || !form.equals(Form.WHOLE)) {
            return pool(FormDemand.of(form, chord, voicing, board), chord, occurrences, where, Integer.MAX_VALUE);
        }
        int last = ask.tries(voicing.lowestElsewhere(chord)) - 1;
        for (int attempt = 0; attempt < last; attempt++) {
            FormDemand wanted = FormDemand.of(ask, attempt, chord, voicing, board);
            GripPool pool = pool(wanted, chord, occurrences, where, Integer.MAX_VALUE);
            List<RatedGrip> first = pool.cheapest(1).grips();
            if (!first.isEmpty() && first.get(0).rung() <= rung.level()) {
                return pool;
            }
        }
        return pool(FormDemand.of(ask, last, chord, voicing, board), chord, occurrences, where, STAND_INS);
    }

    /** @param cap how many are looked at, the easiest */
    private GripPool pool(FormDemand wanted, ChordSymbol chord, int occurrences, Predicate<Shape> where, int cap) {
        Predicate<Shape> shapes = wanted.shapes().and(where);
        SoundEffort.Roles roles = SoundEffort.Roles.of(chord, voicing);
        return new GripPool(
                new GripPool.Source() {

                    private int inner = -1;

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

                    private List<Candidate> candidates(Rung level, double above, double most, int inner) {
                        int highest = Math.min(highestFret, highestOf(level));
                        double reach = player.spreads().widestMm(1, 4);
                        ShapeFinder finder = new ShapeFinder(board, highest, reach, inner);
                        List<Candidate> candidates = new ArrayList<>();
                        for (Shape shape : shapes(finder, bound(level, roles), most + ROUNDING)) {
                            if (shapes.test(shape)) {
                                Candidate candidate = atAGlance(shape, level, roles, occurrences);
                                if (candidate.atLeast() > above && candidate.atLeast() <= most) {
                                    candidates.add(candidate);
                                }
                            }
                        }
                        return candidates;
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
                        Effort.Builder effort =
                                ofShape(candidate.shape(), candidate.isNew(), level, roles, occurrences);
                        int handFret = player.thumb() ? 1 : Grip.lowestHandFret(candidate.shape());
                        double atLeast = effort.total()
                                + hand.atLeast(candidate.shape())
                                + sound.atLeastOfHand(candidate.shape(), handFret);
                        return new Candidate(candidate.shape(), candidate.isNew(), atLeast, true);
                    }

                    @Override
                    public void finger(Candidate candidate, Rung level, List<RatedGrip> found) {
                        rate(candidate, level, roles, occurrences, wanted.grips(), found);
                    }
                },
                rung,
                cap);
    }

    /** Textures with a place on the neck of their own go past where open chords end. */
    private int highestOf(Rung level) {
        boolean goesUp = ask.texture().isClosed() || ask.texture().led();
        return level.highestFret() + (goesUp && level.level() >= KNOWS_THE_NECK ? UP_THE_NECK : 0);
    }

    /** Every fingering of one shape, cheapest first, by the lowest rung from the player's own that can hold it. */
    public List<RatedGrip> fingerings(Shape shape, ChordSymbol chord, int occurrences) {
        SoundEffort.Roles roles = SoundEffort.Roles.of(chord, voicing);
        for (int level = rung.level(); level <= Rung.HIGHEST; level++) {
            List<RatedGrip> found = new ArrayList<>();
            Rung at = Rung.of(level);
            rate(atAGlance(shape, at, roles, occurrences), at, roles, occurrences, grip -> true, found);
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
        ByHand own = byHand(FingersReader.read(shape, fingers, board));
        if (!own.effort().isPossible()) {
            return Optional.empty();
        }
        Rung level = Rung.of(Math.max(rung.level(), Beginner.needed(own.grip())));
        Candidate candidate = atAGlance(shape, level, SoundEffort.Roles.of(chord, voicing), occurrences);
        return Optional.of(rated(candidate, own, 0, level, SoundEffort.Roles.of(chord, voicing), occurrences));
    }

    /** What a shape costs at least while it is put together. */
    private ShapeFinder.Bound bound(Rung level, SoundEffort.Roles roles) {
        double whatever = ofLevel(level) - hand.savedAtMost();
        return new ShapeFinder.Bound() {
            @Override
            public double stopping(int fret, int strings, boolean lowest) {
                return hand.stoppingAtLeast(fret, strings, lowest);
            }

            @Override
            public double sounding(
                    int lowest, int mostSounding, int innerSilent, int silentSince, int unisons, int undamped) {
                return whatever
                        + sound.ofPartAtLeast(lowest, mostSounding, innerSilent, silentSince, unisons, undamped, roles);
            }
        };
    }

    private Candidate atAGlance(Shape shape, Rung level, SoundEffort.Roles roles, int occurrences) {
        boolean isNew = habit.isNew(shape);
        double atLeast = sound.atAGlance(shape, roles)
                + hand.atLeast(shape)
                + habit.ofShape(shape, isNew, occurrences)
                + ofLevel(level);
        return new Candidate(shape, isNew, atLeast, false);
    }

    private double ofLevel(Rung level) {
        return beyond * (level.level() - rung.level());
    }

    /** What is known of a grip's effort before it is fingered. */
    private Effort.Builder ofShape(Shape shape, boolean isNew, Rung level, SoundEffort.Roles roles, int occurrences) {
        Effort.Builder effort = new Effort.Builder();
        sound.ofShape(effort, shape, roles);
        return effort.add(EffortTerm.SIGHT, high * Math.max(0, shape.highestFret() - COMFORTABLE))
                .add(EffortTerm.NEW_SHAPE, habit.ofShape(shape, isNew, occurrences))
                .add(EffortTerm.BEYOND, ofLevel(level));
    }

    private void rate(
            Candidate candidate,
            Rung level,
            SoundEffort.Roles roles,
            int occurrences,
            Predicate<Grip> wanted,
            List<RatedGrip> found) {
        List<ByHand> possible = new ArrayList<>();
        for (Grip grip : new FingeringSearch(board, level, player).fingerings(candidate.shape())) {
            ByHand one = byHand(grip);
            if (one.effort().isPossible() && wanted.test(grip)) {
                possible.add(one);
            }
        }
        List<ByHand> asRuled = possible.stream()
                .filter(g -> MajorBarres.keeps(g.grip(), houseRules.get(HouseRule.MAJOR_BARRE)))
                .toList();
        possible = asRuled.isEmpty() ? possible : new ArrayList<>(asRuled);
        if (possible.isEmpty()) {
            return;
        }
        possible.sort(Comparator.comparing(ByHand::isTaught)
                .reversed()
                .thenComparingDouble(g -> g.effort().total()));
        ByHand usual = possible.get(0);
        for (ByHand one : possible.subList(0, Math.min(MOST_FINGERINGS, possible.size()))) {
            double harder = one.effort().total() - usual.effort().total();
            double other = habit.ofFingers(one.isTaught(), usual.isTaught(), harder);
            found.add(rated(candidate, one, other, level, roles, occurrences));
        }
    }

    private RatedGrip rated(
            Candidate candidate,
            ByHand one,
            double otherFingers,
            Rung level,
            SoundEffort.Roles roles,
            int occurrences) {
        Effort.Builder effort = ofShape(candidate.shape(), candidate.isNew(), level, roles, occurrences)
                .addAll(one.effort());
        sound.ofHand(effort, one.grip());
        effort.add(EffortTerm.OTHER_FINGERS, otherFingers);
        return new RatedGrip(one.grip(), effort.build(), level.level(), candidate.isNew());
    }

    private ByHand byHand(Grip grip) {
        return new ByHand(grip, hand.of(grip), habit.isTaught(grip));
    }

    /** A way to finger a shape. */
    private record ByHand(Grip grip, Effort effort, boolean isTaught) {}
}
