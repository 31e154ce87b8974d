package underhand.harmony;

import static underhand.harmony.Rule.Family.COLOUR;

import java.util.ArrayList;
import java.util.List;
import underhand.chord.ChordSymbol;
import underhand.harmony.Reading.Step;
import underhand.pitch.Mode;
import underhand.pitch.Note;

/** Rules that fill a chord's time with more than one chord. All of it is common practice. */
final class TimeRules {

    static final List<Rule> ALL = List.of(
            new Rule("passing-dim", "a diminished chord in passing", COLOUR, 4, TimeRules::passingDim),
            new Rule("borrowed-four", "the minor four on the way home", COLOUR, 3, TimeRules::borrowedFour),
            new Rule("turnaround", "a turnaround", COLOUR, 4, TimeRules::turnaround));

    private TimeRules() {}

    private static Outcome passingDim(Spot spot, Preferences preferences) {
        int way = spot.wayToNext();
        boolean fromFour = spot.degree() == 4 && way == 7;
        if (spot.key().mode() != Mode.MAJOR) {
            return Outcome.refused("A diminished chord in passing is offered in major keys.");
        }
        if (way != 2 && !fromFour) {
            return Outcome.refused(
                    "What follows lies no whole step above, nor is it the tonic after the fourth degree.");
        }
        boolean major = spot.quality() == Quality.MAJOR || spot.quality() == Quality.DOMINANT;
        boolean passes = fromFour ? major : spot.degree() > 0 && spot.quality().isGoal();
        if (!passes) {
            return Outcome.refused(spot.chord().glyphs() + " is no chord to pass from.");
        }
        if (!spot.hasRoom()) {
            return spot.noRoom();
        }
        ChordSymbol passing = ChordSymbol.parse(
                Note.inPitchClass(Math.floorMod(spot.chord().root().pitchClass() + 1, 12), false) + "dim7");
        return Outcome.of(ReadingFactory.shared(
                "passing-dim",
                spot,
                passing.glyphs() + " passes by half steps from " + spot.chord().glyphs() + " to "
                        + (fromFour ? "the fifth of " : "") + spot.next() + ".",
                spot.chord(),
                passing));
    }

    private static Outcome borrowedFour(Spot spot, Preferences preferences) {
        boolean home = spot.after()
                .filter(a -> spot.degreeOf(a.root().pitchClass()) == 1 && Quality.of(a) == Quality.MAJOR)
                .isPresent();
        if (spot.key().mode() != Mode.MAJOR || spot.degree() != 4 || spot.quality() != Quality.MAJOR || !home) {
            return Outcome.refused("This is no major IV on its way to the tonic.");
        }
        ChordSymbol minor = spot.sameRoot("m");
        String reason = minor.glyphs() + " is borrowed from the minor key: its third falls on to " + spot.next() + ".";
        return Outcome.of(
                spot.hasRoom()
                        ? ReadingFactory.shared("borrowed-four", spot, reason, spot.chord(), minor)
                        : ReadingFactory.whole("borrowed-four", spot, minor, reason));
    }

    private static Outcome turnaround(Spot spot, Preferences preferences) {
        double bar = spot.slot().metre().beats();
        boolean tonic = spot.degree() == 1
                && spot.key().mode() == Mode.MAJOR
                && (spot.quality() == Quality.MAJOR || spot.quality() == Quality.DOMINANT);
        if (!tonic || spot.stillBeats() < 2 * bar) {
            return Outcome.refused("A turnaround needs two bars of a major tonic.");
        }
        double intoTurn = (2 - spot.barsLeft()) * bar + spot.slot().placement().beat() - 1;
        double turnFrom = spot.stillFrom() - intoTurn;
        if (spot.barsLeft() > 2 || turnFrom < 0 || turnFrom + 2 * bar > spot.stillBeats()) {
            return Outcome.refused("These are not the last two bars of their section.");
        }
        boolean blues = spot.quality() == Quality.DOMINANT;
        String[] suffixes = blues ? new String[] {"7", "7", "7", "7"} : new String[] {"", "7", "m7", "7"};
        int[] roots = {0, 9, 2, 7};
        List<Step> row = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            row.add(new Step(i == 0 ? spot.chord() : spot.chordAt(roots[i], suffixes[i]), bar / 2));
        }
        Spot fromTurn = spot.inSpell(intoTurn, 2 * bar);
        return Outcome.of(ReadingFactory.within(
                "turnaround",
                fromTurn,
                "Out by the sixth, second and fifth degree: the end turns back to the start.",
                bar / 2,
                row));
    }
}
