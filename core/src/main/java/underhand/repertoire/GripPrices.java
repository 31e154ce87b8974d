package underhand.repertoire;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import underhand.chord.ChordSymbol;
import underhand.hand.Effort;
import underhand.hand.EffortTerm;
import underhand.hand.FingeringSearch;
import underhand.hand.Grip;
import underhand.hand.HandEffort;
import underhand.hand.Parameters;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.neck.ShapeFinder;
import underhand.neck.ToneDemand;
import underhand.repertoire.GripPool.Candidate;
import underhand.settings.HouseRule;
import underhand.settings.HouseRules;
import underhand.settings.Setting;
import underhand.settings.Voicing;
import underhand.texture.TextureAsk;

/** What the grips of a chord cost: the hand, the ear, the habit, and a rung that is not the player's own. Immutable. */
final class GripPrices {

    /** Past this fret the body of the guitar comes near. */
    private static final int COMFORTABLE = 10;

    /** From this rung on a second guitar can leave the register of the first. */
    private static final int KNOWS_THE_NECK = 4;

    /** Fingerings kept of a shape, the easiest; the others gain nothing in a change that they do not lose in the grip. */
    private static final int MOST_FINGERINGS = 6;

    private final Fretboard board;
    private final Rung rung;
    private final Player player;
    private final Voicing voicing;
    private final HouseRules houseRules;
    private final Habit habit;
    private final double high;
    private final double beyond;
    private final HandEffort hand;
    private final SoundEffort sound;

    GripPrices(
            Fretboard board,
            Rung rung,
            Player player,
            Voicing voicing,
            HouseRules houseRules,
            boolean picked,
            TextureAsk ask,
            Parameters parameters) {
        this.board = board;
        this.rung = rung;
        this.player = player;
        this.voicing = voicing;
        this.houseRules = houseRules;
        boolean isWhole = ask.texture().isWhole();
        this.habit = new Habit(rung, player, board.tuning(), !isWhole, parameters);
        this.high = isWhole ? 0 : parameters.get("texture.high");
        this.beyond = parameters.get("habit.beyond");
        this.hand = new HandEffort(board, player, parameters);
        boolean apart = voicing.fullness() == Setting.SECOND && rung.level() >= KNOWS_THE_NECK;
        this.sound = new SoundEffort(
                board, voicing, houseRules, picked, apart, ask.texture().voices(), parameters);
    }

    /** @param occurrences how often the song has the chord: a new shape is learnt once */
    OfChord of(ChordSymbol chord, int occurrences) {
        return new OfChord(SoundEffort.Roles.of(chord, voicing), occurrences);
    }

    private ByHand byHand(Grip grip) {
        return new ByHand(grip, hand.of(grip), habit.isTaught(grip));
    }

    private double ofLevel(Rung level) {
        return beyond * (level.level() - rung.level());
    }

    /** A way to finger a shape. */
    private record ByHand(Grip grip, Effort effort, boolean isTaught) {}

    /** The prices of one chord's grips. */
    final class OfChord {

        private final SoundEffort.Roles roles;
        private final int occurrences;

        private OfChord(SoundEffort.Roles roles, int occurrences) {
            this.roles = roles;
            this.occurrences = occurrences;
        }

        /** What a shape that nobody knows costs at least while it is put together. */
        ShapeFinder.Bound bound(Rung level) {
            double whatever = ofLevel(level) - hand.savedAtMost() + habit.ofUnknown(occurrences);
            return new ShapeFinder.Bound() {
                @Override
                public double stopping(int fret, int strings, boolean lowest) {
                    return hand.stoppingAtLeast(fret, strings, lowest);
                }

                @Override
                public double sounding(
                        int lowest, int mostSounding, int innerSilent, int silentSince, int unisons, int undamped) {
                    return whatever
                            + sound.ofPartAtLeast(
                                    lowest, mostSounding, innerSilent, silentSince, unisons, undamped, roles);
                }
            };
        }

        /** Shapes that cost less than what nobody knows: their habit's price is below that of all others. */
        List<Shape> known(ToneDemand demand) {
            return habit.ofUnknown(occurrences) > 0 ? habit.known(demand, board.capo()) : List.of();
        }

        boolean isKnown(Candidate candidate) {
            return candidate.habit() < habit.ofUnknown(occurrences);
        }

        /** A shape before its fingers are looked at. */
        Candidate atAGlance(Shape shape, Rung level) {
            boolean isNew = habit.isNew(shape);
            double ofHabit = habit.ofShape(shape, isNew, occurrences);
            double atLeast = sound.atAGlance(shape, roles) + hand.atLeast(shape) + ofHabit + ofLevel(level);
            return new Candidate(shape, isNew, ofHabit, atLeast, false);
        }

        /** The same, as near as can be said without fingering it. */
        Candidate exactly(Candidate candidate, Rung level) {
            Shape shape = candidate.shape();
            int handFret = player.thumb() ? 1 : Grip.lowestHandFret(shape);
            double atLeast =
                    ofShape(candidate, level).total() + hand.atLeast(shape) + sound.atLeastOfHand(shape, handFret);
            return new Candidate(shape, candidate.isNew(), candidate.habit(), atLeast, true);
        }

        /** Adds every fingering of a shape that is wanted and possible. */
        void rate(Candidate candidate, Rung level, Predicate<Grip> wanted, List<RatedGrip> found) {
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
            Effort ofShape = ofShape(candidate, level).build();
            ByHand usual = possible.get(0);
            for (ByHand one : possible.subList(0, Math.min(MOST_FINGERINGS, possible.size()))) {
                double harder = one.effort().total() - usual.effort().total();
                double other = habit.ofFingers(one.isTaught(), usual.isTaught(), harder);
                found.add(rated(candidate, ofShape, one, other, level));
            }
        }

        /** One grip, by the lowest rung from the player's own that can hold it; empty when the hand does not reach so far. */
        Optional<RatedGrip> fingered(Grip grip) {
            ByHand own = byHand(grip);
            if (!own.effort().isPossible()) {
                return Optional.empty();
            }
            Rung level = Rung.of(Math.max(rung.level(), Beginner.needed(grip)));
            Candidate candidate = atAGlance(grip.shape(), level);
            return Optional.of(rated(candidate, ofShape(candidate, level).build(), own, 0, level));
        }

        /** What is known of a grip's effort before it is fingered. */
        private Effort.Builder ofShape(Candidate candidate, Rung level) {
            Effort.Builder effort = new Effort.Builder();
            Shape shape = candidate.shape();
            sound.ofShape(effort, shape, roles);
            return effort.add(EffortTerm.SIGHT, high * Math.max(0, shape.highestFret() - COMFORTABLE))
                    .add(EffortTerm.NEW_SHAPE, candidate.habit())
                    .add(EffortTerm.BEYOND, ofLevel(level));
        }

        private RatedGrip rated(Candidate candidate, Effort ofShape, ByHand one, double otherFingers, Rung level) {
            Effort.Builder effort = new Effort.Builder().addAll(ofShape).addAll(one.effort());
            sound.ofHand(effort, one.grip());
            effort.add(EffortTerm.OTHER_FINGERS, otherFingers);
            return new RatedGrip(one.grip(), effort.build(), level.level(), candidate.isNew());
        }
    }
}
