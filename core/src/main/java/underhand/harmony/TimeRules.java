package underhand.harmony;

import static underhand.harmony.Rule.Family.COLOUR;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import underhand.chord.ChordSymbol;
import underhand.harmony.Form.Kind;
import underhand.harmony.Reading.Step;
import underhand.pitch.Mode;
import underhand.pitch.Note;

/** Rules that fill a chord's time with more than one chord. All of it is common practice. */
final class TimeRules {

    static final List<Rule> ALL = List.of(
            new Rule("passing-dim", "a diminished chord in passing", COLOUR, 4, TimeRules::passingDim),
            new Rule("six-nine-pair", "minor seventh to minor sixth", COLOUR, 4, TimeRules::sixNinePair),
            new Rule("falling-line", "a falling line", COLOUR, 4, TimeRules::fallingLine),
            new Rule("major-line", "a line over the still tonic", COLOUR, 4, TimeRules::majorLine),
            new Rule("borrowed-four", "the minor four on the way home", COLOUR, 3, TimeRules::borrowedFour),
            new Rule("turnaround", "a turnaround", COLOUR, 4, TimeRules::turnaround),
            new Rule("half-step-slide", "a slide from a half step off", COLOUR, 4, TimeRules::halfStepSlide));

    /** A line's notes fall on every one of so many beats. */
    private static final double[] PACES = {4, 2, 1};

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

    private static Outcome sixNinePair(Spot spot, Preferences preferences) {
        boolean two = spot.key().mode() == Mode.MAJOR ? spot.degree() == 2 : spot.degree() == 4;
        if (!two || spot.quality() != Quality.MINOR) {
            return Outcome.refused("This is no minor chord that is heard as a second degree.");
        }
        if (!spot.hasRoom()) {
            return spot.noRoom();
        }
        ChordSymbol sixth = spot.sameRoot("m6");
        return Outcome.of(ReadingFactory.shared(
                "six-nine-pair",
                spot,
                sixth.glyphs() + " has the notes of " + spot.chordAt(5, "9").glyphs()
                        + " without its root: a long second degree is heard as second and fifth.",
                spot.sameRoot("m7"),
                sixth));
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

    private static Outcome halfStepSlide(Spot spot, Preferences preferences) {
        if (spot.after().isEmpty() || spot.after().get().bass().isPresent()) {
            return Outcome.refused("There is no plain chord after it to slide into.");
        }
        if (spot.beats() < Spot.ROOM) {
            return spot.noRoom();
        }
        List<Reading> readings = new ArrayList<>();
        for (int off : new int[] {1, -1}) {
            ChordSymbol near = new ChordSymbol(
                    Note.inPitchClass(Math.floorMod(spot.after().get().root().pitchClass() + off, 12), off > 0),
                    spot.after().get().type(),
                    Optional.empty());
            readings.add(ReadingFactory.of(
                    "half-step-slide:" + (off > 0 ? "above" : "below"),
                    "The grip of " + spot.next() + " a fret " + (off > 0 ? "too high" : "too low")
                            + ", slid into place on the beat.",
                    new Step(spot.chord(), spot.beats() - 1),
                    new Step(near, 1, Form.of(Kind.MOVABLE))));
        }
        return Outcome.of(readings);
    }

    private static Outcome fallingLine(Spot spot, Preferences preferences) {
        if (spot.quality() != Quality.MINOR) {
            return Outcome.refused("A falling line needs a minor chord that stands still.");
        }
        double bar = spot.slot().metre().beats();
        if (spot.stillBeats() < 2 * bar) {
            return Outcome.refused(spot.chord().glyphs() + " stands still for less than two bars.");
        }
        List<Reading> readings = new ArrayList<>();
        String[] suffixes = {"m", "m(maj7)", "m7", "m6"};
        for (double pace : paces(bar)) {
            if (suffixes.length * pace <= spot.stillBeats()) {
                for (Place place : Place.values()) {
                    readings.add(line("falling-line", spot, place, pace, suffixes, new int[] {0, 11, 10, 9}));
                }
            }
        }
        return Outcome.of(readings);
    }

    private static Outcome majorLine(Spot spot, Preferences preferences) {
        if (spot.quality() != Quality.MAJOR || spot.degree() != 1 || spot.key().mode() != Mode.MAJOR) {
            return Outcome.refused("This is no major tonic.");
        }
        double bar = spot.slot().metre().beats();
        if (spot.stillBeats() < 2 * bar) {
            return Outcome.refused(spot.chord().glyphs() + " stands still for less than two bars.");
        }
        List<Reading> readings = new ArrayList<>();
        for (double pace : paces(bar)) {
            if (4 * pace <= spot.stillBeats()) {
                readings.add(line(
                        "major-line:falling", spot, Place.INSIDE, pace, new String[] {"", "maj7", "7", "6"}, new int[] {
                            0, 11, 10, 9
                        }));
                readings.add(line(
                        "major-line:rising", spot, Place.INSIDE, pace, new String[] {"", "aug", "6", "7"}, new int[] {
                            7, 8, 9, 10
                        }));
            }
        }
        return Outcome.of(readings);
    }

    /** A bar, two beats or one beat to each note of a line. */
    private static List<Double> paces(double bar) {
        List<Double> paces = new ArrayList<>(List.of(bar));
        for (double pace : PACES) {
            if (pace < bar) {
                paces.add(pace);
            }
        }
        return paces;
    }

    /** Where the moving voice lies. */
    private enum Place {
        INSIDE("inside"),
        TOP("on top"),
        BASS("in the bass");

        private final String words;

        Place(String words) {
            this.words = words;
        }
    }

    /** @param voice semitones of the moving voice above the root, for each chord */
    private static Reading line(String rule, Spot spot, Place place, double pace, String[] suffixes, int[] voice) {
        List<Step> row = new ArrayList<>();
        for (int i = 0; i < suffixes.length; i++) {
            int moving = Math.floorMod(spot.chord().root().pitchClass() + voice[i], 12);
            ChordSymbol plain = spot.sameRoot(suffixes[i]);
            row.add(
                    place == Place.BASS
                            ? new Step(over(spot.sameRoot(suffixes[0]), moving, spot), pace)
                            : new Step(plain, pace, new Form(place == Place.TOP ? Kind.TOP : Kind.INSIDE, moving)));
        }
        String every = pace == 1
                ? "every beat"
                : pace == spot.slot().metre().beats() ? "every bar" : "every " + (int) pace + " beats";
        String mud = place == Place.BASS ? " Low down it is muddy." : "";
        return ReadingFactory.within(
                rule + ":" + place.name().toLowerCase(Locale.ROOT) + ":" + (int) pace,
                spot,
                "One voice " + (voice[1] == 11 ? "falls" : "rises") + " by half steps " + place.words + ", " + every
                        + ", while the others stay." + mud,
                pace,
                row);
    }

    private static ChordSymbol over(ChordSymbol chord, int bass, Spot spot) {
        Note note = spot.degreeOf(bass) > 0 ? spot.key().spell(bass) : Note.inPitchClass(bass, false);
        return new ChordSymbol(chord.root(), chord.type(), Optional.of(note));
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
