package underhand.harmony;

import static underhand.harmony.Rule.Family.COLOUR;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import underhand.chord.ChordSymbol;
import underhand.harmony.Form.Kind;
import underhand.harmony.Reading.Step;
import underhand.pitch.Note;

/** Rules that move one grip along the neck: the same shape in the same fingers, or they are not proposed. Common practice. */
final class SlideRules {

    static final List<Rule> ALL = List.of(
            new Rule("half-step-slide", "a slide from a half step off", COLOUR, 4, SlideRules::halfStepSlide),
            new Rule("chromatic-walk", "one grip walked by half steps", COLOUR, 4, SlideRules::chromaticWalk),
            new Rule("symmetric-move", "the same notes further along the neck", COLOUR, 4, SlideRules::symmetricMove));

    private static final Form MOVABLE = Form.of(Kind.MOVABLE);

    /** A walk is no further than a hand goes with the time of a bar. */
    private static final int LONGEST_WALK = 4;

    /** Fewest beats of the chord a walk leaves. */
    private static final double BEFORE_WALK = 1;

    private SlideRules() {}

    private static Outcome halfStepSlide(Spot spot, Preferences preferences) {
        Optional<ChordSymbol> goal = spot.after().filter(a -> a.bass().isEmpty());
        if (goal.isEmpty()) {
            return Outcome.refused("There is no plain chord after it to slide into.");
        }
        if (spot.beats() < Spot.ROOM) {
            return spot.noRoom();
        }
        List<Reading> readings = new ArrayList<>();
        for (int off : new int[] {1, -1}) {
            readings.add(ReadingFactory.of(
                    "half-step-slide:" + (off > 0 ? "above" : "below"),
                    "The grip of " + spot.next() + " a fret " + (off > 0 ? "too high" : "too low")
                            + ", slid into place on the beat.",
                    new Step(spot.chord(), spot.beats() - 1),
                    new Step(near(goal.get(), off), 1, MOVABLE, Bond.SLIDE)));
        }
        return Outcome.of(readings);
    }

    private static Outcome chromaticWalk(Spot spot, Preferences preferences) {
        Optional<ChordSymbol> goal = spot.after()
                .filter(a -> a.type().equals(spot.chord().type()))
                .filter(a -> a.bass().isEmpty() && spot.chord().bass().isEmpty());
        if (goal.isEmpty()) {
            return Outcome.refused("No plain chord of its own kind follows, to be reached with the same grip.");
        }
        int up = spot.wayToNext();
        int way = up > LONGEST_WALK ? up - 12 : up;
        int between = Math.abs(way) - 1;
        if (between < 1 || between >= LONGEST_WALK) {
            return Outcome.refused(spot.next() + " lies not two to four half steps away.");
        }
        if (spot.beats() < between + BEFORE_WALK) {
            return spot.noRoom();
        }
        List<Step> steps = new ArrayList<>();
        steps.add(new Step(spot.chord(), spot.beats() - between, MOVABLE, Bond.SLIDE));
        for (int left = between; left > 0; left--) {
            steps.add(new Step(near(goal.get(), way > 0 ? -left : left), 1, MOVABLE, Bond.SLIDE));
        }
        return Outcome.of(ReadingFactory.of(
                "chromatic-walk",
                "One grip walks " + (way > 0 ? "up" : "down") + " by half steps from "
                        + spot.chord().glyphs() + " to " + spot.next() + ", a fret a beat.",
                steps.toArray(Step[]::new)));
    }

    /** A chord so many half steps above another, of the same kind. */
    private static ChordSymbol near(ChordSymbol chord, int off) {
        Note root = Note.inPitchClass(Math.floorMod(chord.root().pitchClass() + off, 12), off > 0);
        return new ChordSymbol(root, chord.type(), Optional.empty());
    }

    private static Outcome symmetricMove(Spot spot, Preferences preferences) {
        String suffix = spot.chord().type().suffix();
        int step = suffix.equals("dim7") ? 3 : suffix.equals("aug") ? 4 : 0;
        if (step == 0 || spot.chord().bass().isPresent()) {
            return Outcome.refused(spot.chord().glyphs() + " is no diminished seventh and no augmented triad.");
        }
        if (spot.beats() < Spot.ROOM) {
            return spot.noRoom();
        }
        List<Reading> readings = new ArrayList<>();
        for (int way : new int[] {step, -step}) {
            ChordSymbol equal = near(spot.chord(), way);
            readings.add(ReadingFactory.together(
                    "symmetric-move:" + (way > 0 ? "up" : "down"),
                    spot,
                    equal.glyphs() + " has the same notes as " + spot.chord().glyphs() + ": the grip moves " + step
                            + " frets " + (way > 0 ? "up" : "down") + ".",
                    MOVABLE,
                    Bond.SLIDE,
                    spot.chord(),
                    equal));
        }
        return Outcome.of(readings);
    }
}
