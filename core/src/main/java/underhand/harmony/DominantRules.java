package underhand.harmony;

import static underhand.harmony.Rule.Family.COLOUR;

import java.util.ArrayList;
import java.util.List;
import underhand.chord.ChordSymbol;
import underhand.harmony.Preferences.MinorDominant;
import underhand.pitch.Mode;
import underhand.pitch.Note;

/** Rules about dominants: what colours them, what stands for them, what leads to them. All of it is common practice. */
final class DominantRules {

    static final List<Rule> ALL = List.of(
            new Rule("flat-nine", "flat ninth before minor", COLOUR, 4, DominantRules::flatNine),
            new Rule(
                    "strong-minor-five", "the strong fifth degree in minor", COLOUR, 2, DominantRules::strongMinorFive),
            new Rule("tritone-swap", "the dominant a tritone off", COLOUR, 4, DominantRules::tritoneSwap),
            new Rule("backdoor", "by the back door", COLOUR, 5, DominantRules::backdoor),
            new Rule("deceptive", "the deceptive turn", COLOUR, 5, DominantRules::deceptive),
            new Rule("sharp-to-flat", "sharp ninth, then flat", COLOUR, 5, DominantRules::sharpToFlat),
            new Rule("secondary-dominant", "a dominant of the next chord", COLOUR, 3, DominantRules::secondaryDominant),
            new Rule("two-before-five", "its second before the dominant", COLOUR, 3, DominantRules::twoBeforeFive),
            new Rule("suspended-five", "held back before the dominant", COLOUR, 2, DominantRules::suspendedFive));

    private DominantRules() {}

    private static Outcome flatNine(Spot spot, Preferences preferences) {
        boolean major = spot.isTriad() && spot.quality() == Quality.MAJOR && spot.degree() != 1;
        boolean toMinor = spot.boundForMinor().isPresent() || spot.isMinorDominant();
        if (spot.quality() != Quality.DOMINANT && !major || !toMinor) {
            return Outcome.refused("This is no dominant that leads to a minor chord a fifth below.");
        }
        if (preferences.minorDominant() == MinorDominant.NATURAL_NINE) {
            return Outcome.refused("Your house rule keeps the natural ninth before a minor chord.");
        }
        if (spot.chord().type().suffix().equals("7b9")) {
            return Outcome.refused("It has its flat ninth already.");
        }
        ChordSymbol flat = spot.sameRoot("7b9");
        String leads = spot.boundForMinor()
                .map(goal -> (spot.leadsToMinor() ? " leads to " : " is bound for ") + goal.glyphs())
                .orElseGet(() -> " is the dominant of " + spot.key().glyphs());
        String reason = spot.chord().glyphs() + leads + ", so the ninth is flat.";
        List<Reading> readings = new ArrayList<>(List.of(ReadingFactory.whole("flat-nine", spot, flat, reason)));
        if (preferences.bassElsewhere()) {
            ChordSymbol rootless = spot.chordAt(1, "dim7");
            readings.add(ReadingFactory.whole(
                    "flat-nine:rootless",
                    spot,
                    rootless,
                    rootless.glyphs() + " is " + flat.glyphs() + " without its root, which the bass player has."));
        }
        return Outcome.of(readings);
    }

    private static Outcome strongMinorFive(Spot spot, Preferences preferences) {
        if (spot.key().mode() != Mode.MINOR || spot.degree() != 5 || spot.quality() != Quality.MINOR) {
            return Outcome.refused("This is not the minor chord on the fifth degree of a minor key.");
        }
        ChordSymbol major = spot.sameRoot("");
        ChordSymbol seventh = spot.sameRoot("7");
        String why = " has the leading note: it pulls to " + spot.key().tonic().glyphs() + " minor.";
        return Outcome.of(
                ReadingFactory.whole("strong-minor-five:triad", spot, major, major.glyphs() + why),
                ReadingFactory.whole("strong-minor-five:7", spot, seventh, seventh.glyphs() + why));
    }

    private static Outcome tritoneSwap(Spot spot, Preferences preferences) {
        if (spot.quality() != Quality.DOMINANT || !spot.leadsOn()) {
            return Outcome.refused("This is no dominant seventh that leads a fifth down.");
        }
        int fifth = Math.floorMod(spot.chord().root().pitchClass() + 7, 12);
        if (spot.tune().stream().anyMatch(n -> n.pitch().pitchClass() == fifth)) {
            return Outcome.refused(
                    "The tune has the natural fifth of " + spot.chord().glyphs() + ".");
        }
        ChordSymbol swap = ChordSymbol.parse(
                Note.inPitchClass(Math.floorMod(spot.chord().root().pitchClass() + 6, 12), true) + "7");
        return Outcome.of(ReadingFactory.whole(
                "tritone-swap",
                spot,
                swap,
                swap.glyphs() + " shares third and seventh with " + spot.chord().glyphs() + " and falls a half step to "
                        + spot.next() + "."));
    }

    private static Outcome backdoor(Spot spot, Preferences preferences) {
        boolean toTonic = spot.after()
                .filter(a -> spot.degreeOf(a.root().pitchClass()) == 1)
                .map(Quality::of)
                .filter(q -> q == Quality.MAJOR || q == Quality.DOMINANT)
                .isPresent();
        boolean dominant =
                spot.degree() == 5 && (spot.quality() == Quality.DOMINANT || spot.quality() == Quality.MAJOR);
        if (!dominant || !toTonic) {
            return Outcome.refused("This is no dominant going home to a major tonic.");
        }
        ChordSymbol back = ChordSymbol.parse(
                Note.inPitchClass(Math.floorMod(spot.key().tonic().pitchClass() + 10, 12), true) + "7");
        return Outcome.of(ReadingFactory.whole(
                "backdoor", spot, back, back.glyphs() + " comes home to " + spot.next() + " from a whole step below."));
    }

    private static Outcome deceptive(Spot spot, Preferences preferences) {
        boolean afterDominant = spot.before()
                .filter(b -> spot.degreeOf(b.root().pitchClass()) == 5)
                .filter(b -> Quality.of(b) == Quality.DOMINANT || Quality.of(b) == Quality.MAJOR)
                .isPresent();
        if (spot.key().mode() != Mode.MAJOR || spot.degree() != 1 || !afterDominant) {
            return Outcome.refused("This is no tonic after its dominant.");
        }
        if (spot.last()) {
            return Outcome.refused("The song ends here: it should come home.");
        }
        ChordSymbol sixth = spot.chordAt(9, "m");
        return Outcome.of(ReadingFactory.whole(
                "deceptive", spot, sixth, sixth.glyphs() + " after the dominant puts the homecoming off."));
    }

    private static Outcome sharpToFlat(Spot spot, Preferences preferences) {
        if (spot.quality() != Quality.DOMINANT || !spot.leadsOn()) {
            return Outcome.refused("This is no dominant seventh that leads a fifth down.");
        }
        if (!spot.hasRoom()) {
            return spot.noRoom();
        }
        return Outcome.of(ReadingFactory.shared(
                "sharp-to-flat",
                spot,
                "The ninth falls from sharp to flat before " + spot.next() + ".",
                spot.sameRoot("7#9"),
                spot.sameRoot("7b9")));
    }

    private static Outcome secondaryDominant(Spot spot, Preferences preferences) {
        if (spot.after().isEmpty() || !Quality.of(spot.after().get()).isGoal()) {
            return Outcome.refused("What follows is no major or minor chord a dominant could lead to.");
        }
        ChordSymbol goal = spot.after().get();
        if (goal.root().equals(spot.chord().root())) {
            return Outcome.refused("The next chord has the same root.");
        }
        if (spot.degreeOf(goal.root().pitchClass()) == 0) {
            return Outcome.refused(
                    goal.glyphs() + " stands on no degree of " + spot.key().glyphs() + ".");
        }
        if (spot.quality() == Quality.DOMINANT && spot.leadsOn()) {
            return Outcome.refused(spot.chord().glyphs() + " is the dominant of " + goal.glyphs() + " already.");
        }
        if (!spot.hasRoom()) {
            return spot.noRoom();
        }
        ChordSymbol dominant =
                spot.leadsOn() ? spot.sameRoot("7") : spot.chordOn(goal.root().pitchClass() + 7, "7");
        String leads = dominant.glyphs() + " is the dominant of " + goal.glyphs() + " and leads into it";
        Reading alone = ReadingFactory.shared("secondary-dominant", spot, leads + ".", spot.chord(), dominant);
        ChordSymbol second =
                spot.chordOn(dominant.root().pitchClass() + 7, Quality.of(goal) == Quality.MINOR ? "m7b5" : "m7");
        if (second.root().pitchClass() == spot.chord().root().pitchClass()) {
            return Outcome.of(alone);
        }
        // Two rules in a row: the second of the dominant that was put in shares its time.
        double half = spot.beats() / 2;
        Reading withSecond = ReadingFactory.of(
                "secondary-dominant:with-second",
                leads + "; its own second, " + second.glyphs() + ", stands before it.",
                new Reading.Step(spot.chord(), half),
                new Reading.Step(second, half / 2),
                new Reading.Step(dominant, half / 2));
        return Outcome.of(alone, withSecond);
    }

    private static Outcome twoBeforeFive(Spot spot, Preferences preferences) {
        boolean major = spot.quality() == Quality.MAJOR && spot.degree() == 5;
        if (spot.quality() != Quality.DOMINANT && !major || !spot.leadsOn()) {
            return Outcome.refused("This is no dominant that leads a fifth down.");
        }
        int second = Math.floorMod(spot.chord().root().pitchClass() + 7, 12);
        if (spot.before().filter(b -> b.root().pitchClass() == second).isPresent()) {
            return Outcome.refused("Its second stands before it already.");
        }
        if (!spot.hasRoom()) {
            return spot.noRoom();
        }
        ChordSymbol two = spot.chordOn(second, spot.leadsToMinor() ? "m7b5" : "m7");
        return Outcome.of(ReadingFactory.shared(
                "two-before-five",
                spot,
                two.glyphs() + " before " + spot.chord().glyphs() + ": the second degree of " + spot.next()
                        + " makes room for its dominant.",
                two,
                spot.chord()));
    }

    private static Outcome suspendedFive(Spot spot, Preferences preferences) {
        boolean dominant = spot.quality() == Quality.DOMINANT;
        boolean five = spot.quality() == Quality.MAJOR && spot.isTriad() && spot.degree() == 5;
        if (!dominant && !five || !spot.leadsOn()) {
            return Outcome.refused("This is no dominant that leads a fifth down.");
        }
        if (spot.chord().bass().isPresent()) {
            return Outcome.refused(spot.chord().glyphs() + " has a bass of its own.");
        }
        if (!spot.inKey(5)) {
            return Outcome.refused("The fourth of " + spot.chord().glyphs() + " is no note of "
                    + spot.scale().glyphs() + ".");
        }
        List<Reading> readings = new ArrayList<>();
        ChordSymbol held = spot.sameRoot(dominant ? "7sus4" : "sus4");
        readings.add(heldBack(
                spot,
                "suspended-five:sus4",
                held,
                ": the fourth holds the third of " + spot.chord().glyphs() + " back"));
        for (String suffix : List.of("", "m")) {
            ChordSymbol four = spot.chordAt(10, suffix + "/" + spot.chord().root());
            if (spot.outside(four).isEmpty()) {
                readings.add(heldBack(
                        spot,
                        "suspended-five:four-over-five",
                        four,
                        ": the chord a whole step below it over its root holds the third of "
                                + spot.chord().glyphs() + " back"));
            }
        }
        return Outcome.of(readings);
    }

    /** What holds a dominant back, and then the dominant where there is room for both. */
    private static Reading heldBack(Spot spot, String rule, ChordSymbol held, String says) {
        return spot.hasRoom()
                ? ReadingFactory.shared(rule, spot, held.glyphs() + says + " for half its time.", held, spot.chord())
                : ReadingFactory.whole(rule, spot, held, held.glyphs() + says + " up to " + spot.next() + ".");
    }
}
