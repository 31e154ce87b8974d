package underhand.harmony;

import static underhand.harmony.Rule.Family.SIMPLIFY;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import underhand.chord.ChordSymbol;
import underhand.chord.ChordType;
import underhand.harmony.Form.Kind;
import underhand.harmony.Preferences.SeventhDegree;
import underhand.pitch.Mode;
import underhand.pitch.Note;

/** Rules that make a chord easier to hold. All of it is common practice. */
final class SimplifyRules {

    static final List<Rule> ALL = List.of(
            new Rule("drop-extension", "leave extensions out", SIMPLIFY, 1, SimplifyRules::dropExtension),
            new Rule("drop-bass", "leave the slash bass out", SIMPLIFY, 1, SimplifyRules::dropBass),
            new Rule("relative-upper", "its upper part", SIMPLIFY, 1, SimplifyRules::relativeUpper),
            new Rule("power", "power chord", SIMPLIFY, 1, SimplifyRules::power),
            new Rule("sus2-neutral", "second for the third", SIMPLIFY, 2, SimplifyRules::sus2Neutral),
            new Rule("seven-as-five", "the fifth degree for the seventh", SIMPLIFY, 1, SimplifyRules::sevenAsFive),
            new Rule("part-shape", "three strings of it", SIMPLIFY, 2, SimplifyRules::partShape),
            new Rule("tenth", "root and tenth", SIMPLIFY, 2, SimplifyRules::tenth),
            new Rule("guide-tones", "third and seventh", SIMPLIFY, 3, SimplifyRules::guideTones),
            new Rule("dim-symmetry", "the nearest of its equals", SIMPLIFY, 2, SimplifyRules::dimSymmetry),
            new Rule("barre-to-fragment", "without the full barre", SIMPLIFY, 1, SimplifyRules::barreToFragment));

    /** Upper parts of chords whose root somebody else plays: semitones above the root, and what stands there. */
    private record Upper(int aboveRoot, String suffix) {}

    private static final Map<String, Upper> UPPERS =
            Map.of("m7", new Upper(3, ""), "m9", new Upper(3, "maj7"), "m7b5", new Upper(3, "m"));

    private SimplifyRules() {}

    private static Outcome dropExtension(Spot spot, Preferences preferences) {
        ChordType type = spot.chord().type();
        boolean extended = type.has(9) || type.has(11) || type.has(13);
        boolean seventh = type.has(7) || type.has(6);
        if (!extended && !seventh) {
            return Outcome.refused(spot.chord().glyphs() + " has nothing above its triad.");
        }
        List<Reading> readings = new ArrayList<>();
        if (extended && type.has(7)) {
            addPlainer(readings, spot, spot.quality().seventh(), "the seventh stays");
        }
        addPlainer(readings, spot, triad(spot.quality()), "the triad is left");
        return readings.isEmpty()
                ? Outcome.refused("The tune has the note that would be left out.")
                : Outcome.of(readings);
    }

    private static void addPlainer(List<Reading> readings, Spot spot, String suffix, String left) {
        ChordSymbol plainer = ChordSymbol.parse(spot.chord().root()
                + suffix
                + spot.chord().bass().map(b -> "/" + b).orElse(""));
        boolean tuneKeepsIt = spot.tune().stream()
                .anyMatch(n -> Tones.has(spot.chord(), n.pitch().pitchClass())
                        && !Tones.has(plainer, n.pitch().pitchClass()));
        if (!tuneKeepsIt && !plainer.equals(spot.chord())) {
            String reason = plainer.glyphs() + " for " + spot.chord().glyphs() + ": " + left + ".";
            readings.add(ReadingFactory.whole(
                    "drop-extension:" + (suffix.isEmpty() ? "triad" : suffix), spot, plainer, reason));
        }
    }

    private static String triad(Quality quality) {
        return switch (quality) {
            case MINOR -> "m";
            case DIMINISHED, HALF_DIMINISHED -> "dim";
            case AUGMENTED -> "aug";
            case OPEN -> "sus4";
            default -> "";
        };
    }

    private static Outcome dropBass(Spot spot, Preferences preferences) {
        if (spot.chord().bass().isEmpty()) {
            return Outcome.refused(spot.chord().glyphs() + " has no slash bass.");
        }
        if (!preferences.bassElsewhere() && preferences.rung() > 1) {
            return Outcome.refused("Nobody else plays the bass here.");
        }
        ChordSymbol plain = spot.chord().withoutBass();
        String who = preferences.bassElsewhere() ? "the bass player has it" : "one thing less to think of";
        return Outcome.of(ReadingFactory.whole(
                "drop-bass",
                spot,
                plain,
                plain.glyphs() + " without the " + spot.chord().lowest().glyphs() + " in the bass: " + who + "."));
    }

    private static Outcome relativeUpper(Spot spot, Preferences preferences) {
        Upper upper = UPPERS.get(spot.chord().type().suffix());
        if (upper == null) {
            return Outcome.refused(
                    "Only a minor seventh, minor ninth or half-diminished chord has such an upper part.");
        }
        if (!preferences.bassElsewhere()) {
            return Outcome.refused("The root is needed: nobody else plays the bass here.");
        }
        ChordSymbol instead = spot.chordAt(upper.aboveRoot(), upper.suffix());
        return Outcome.of(ReadingFactory.whole(
                "relative-upper",
                spot,
                instead,
                instead.glyphs() + " is " + spot.chord().glyphs() + " without its root, which the bass player has."));
    }

    private static Outcome power(Spot spot, Preferences preferences) {
        if (spot.chord().type().suffix().equals("5")) {
            return Outcome.refused("It is a power chord already.");
        }
        Quality quality = spot.quality();
        if (!quality.isGoal() && quality != Quality.DOMINANT) {
            return Outcome.refused("A power chord has a perfect fifth and no third: "
                    + spot.chord().glyphs() + " would not be heard in it.");
        }
        Optional<Note> bass = spot.chord().bass();
        boolean ofIt =
                bass.filter(b -> Tones.has(spot.sameRoot("5"), b.pitchClass())).isPresent();
        if (bass.isPresent() && !ofIt && !preferences.bassElsewhere()) {
            return Outcome.refused("The bass " + bass.get().glyphs() + " of "
                    + spot.chord().glyphs() + " would be lost: nobody else plays it here.");
        }
        ChordSymbol power =
                new ChordSymbol(spot.chord().root(), spot.sameRoot("5").type(), bass.filter(b -> ofIt));
        String left =
                bass.isPresent() && !ofIt ? " The bass " + bass.get().glyphs() + " is left to the bass player." : "";
        return Outcome.of(ReadingFactory.whole(
                "power", spot, power, power.glyphs() + ": root and fifth, strong when it is loud." + left));
    }

    private static Outcome sus2Neutral(Spot spot, Preferences preferences) {
        if (!spot.quality().isGoal()) {
            return Outcome.refused("A second stands for the third of a major or minor chord only.");
        }
        ChordSymbol sus = spot.sameRoot("sus2");
        if (!spot.inKey(2)) {
            return Outcome.refused("The second of " + sus.glyphs() + ", "
                    + spot.key()
                            .spell(Math.floorMod(spot.chord().root().pitchClass() + 2, 12))
                            .glyphs()
                    + ", is out of key on this degree.");
        }
        if (!spot.inKey(7)) {
            return Outcome.refused("The fifth of " + sus.glyphs() + " is out of key on this degree.");
        }
        Optional<Note> bass = spot.chord().bass();
        boolean onThird = bass.filter(b ->
                        b.pitchClass() == spot.chord().tones().get(1).note().pitchClass())
                .isPresent();
        if (onThird) {
            return Outcome.refused("The bass of " + spot.chord().glyphs() + " is the third that would be left out.");
        }
        ChordSymbol kept = new ChordSymbol(sus.root(), sus.type(), bass);
        return Outcome.of(ReadingFactory.whole(
                "sus2-neutral", spot, kept, kept.glyphs() + " rests a finger and leaves the third open."));
    }

    private static Outcome sevenAsFive(Spot spot, Preferences preferences) {
        boolean diminished = spot.quality() == Quality.DIMINISHED || spot.quality() == Quality.HALF_DIMINISHED;
        if (spot.key().mode() != Mode.MAJOR || spot.degree() != 7 || !diminished) {
            return Outcome.refused("This is no diminished chord on the seventh degree of a major key.");
        }
        SeventhDegree house = preferences.seventhDegree();
        if (house == SeventhDegree.DIMINISHED || house == SeventhDegree.BY_RUNG && preferences.rung() >= 4) {
            return Outcome.refused("Your house rule keeps the diminished chord on the seventh degree.");
        }
        if (house == SeventhDegree.MINOR) {
            ChordSymbol loose = spot.sameRoot("m");
            return Outcome.of(ReadingFactory.whole(
                    "seven-as-five", spot, loose, loose.glyphs() + ": the loose way to play the seventh degree."));
        }
        ChordSymbol dominant = spot.chordAt(8, "/" + spot.chord().root());
        return Outcome.of(ReadingFactory.whole(
                "seven-as-five",
                spot,
                dominant,
                dominant.glyphs() + " is the fifth degree over its third: smoother and easier than "
                        + spot.chord().glyphs() + "."));
    }

    private static Outcome partShape(Spot spot, Preferences preferences) {
        if (preferences.alone()) {
            return Outcome.refused("Alone, the guitar needs the whole shape.");
        }
        if (spot.chord().type().intervals().size() < 3) {
            return Outcome.refused(spot.chord().glyphs() + " has only two notes.");
        }
        return Outcome.of(ReadingFactory.formed(
                "part-shape",
                spot,
                Form.of(Kind.PART),
                "Three neighbouring strings of " + spot.chord().glyphs() + " are enough beside the others."));
    }

    private static Outcome tenth(Spot spot, Preferences preferences) {
        if (!spot.chord().type().has(3)) {
            return Outcome.refused(spot.chord().glyphs() + " has no third to stand a tenth above its root.");
        }
        if (spot.chord().bass().isPresent()) {
            return Outcome.refused("The bass of " + spot.chord().glyphs() + " is not its root.");
        }
        return Outcome.of(ReadingFactory.formed(
                "tenth",
                spot,
                Form.of(Kind.TENTH),
                "The root and its third a tenth above it: two fingers say "
                        + spot.chord().glyphs() + "."));
    }

    private static Outcome guideTones(Spot spot, Preferences preferences) {
        ChordType type = spot.chord().type();
        if (!type.has(3) || !type.has(7)) {
            return Outcome.refused(spot.chord().glyphs() + " has no third and seventh to guide.");
        }
        if (!preferences.bassElsewhere()) {
            return Outcome.refused("Third and seventh alone need somebody else's bass under them.");
        }
        return Outcome.of(ReadingFactory.formed(
                "guide-tones",
                spot,
                Form.of(Kind.GUIDE_TONES),
                "Third and seventh of " + spot.chord().glyphs() + " tell all the bass leaves open."));
    }

    private static Outcome dimSymmetry(Spot spot, Preferences preferences) {
        boolean seventh = spot.chord().type().suffix().equals("dim7");
        boolean augmented = spot.chord().type().suffix().equals("aug");
        if (!seventh && !augmented) {
            return Outcome.refused("Only a diminished seventh or an augmented chord equals itself moved up.");
        }
        if (spot.chord().bass().isPresent()) {
            return Outcome.refused("The bass of " + spot.chord().glyphs() + " is not its root.");
        }
        List<Reading> readings = new ArrayList<>();
        int step = seventh ? 3 : 4;
        for (int above = step; above < 12; above += step) {
            ChordSymbol equal = spot.chordAt(above, spot.chord().type().suffix());
            readings.add(ReadingFactory.whole(
                    "dim-symmetry:" + above / step,
                    spot,
                    equal,
                    equal.glyphs() + " has the same notes as " + spot.chord().glyphs() + ", every " + step
                            + " frets."));
        }
        return Outcome.of(readings);
    }

    private static Outcome barreToFragment(Spot spot, Preferences preferences) {
        if (preferences.rung() > 3) {
            return Outcome.refused("Your rung has the full barre.");
        }
        if (spot.quality() == Quality.OPEN && spot.chord().type().suffix().equals("5")) {
            return Outcome.refused("A power chord needs no barre.");
        }
        List<Reading> readings = new ArrayList<>();
        readings.add(ReadingFactory.formed(
                "barre-to-fragment:part",
                spot,
                Form.of(Kind.FRAGMENT),
                "The strings of " + spot.chord().glyphs() + " that need no full barre."));
        boolean mayTakeSeventh = spot.chord().type().suffix().isEmpty()
                && spot.inKey(11)
                && spot.contradicted(spot.sameRoot("maj7")).isEmpty()
                && spot.key().mode() == Mode.MAJOR;
        if (mayTakeSeventh && spot.chord().bass().isEmpty()) {
            ChordSymbol softer = spot.sameRoot("maj7");
            readings.add(ReadingFactory.of(
                    "barre-to-fragment:maj7",
                    softer.glyphs() + " leaves a string open where "
                            + spot.chord().glyphs() + " wants the barre.",
                    new Reading.Step(softer, spot.beats(), Form.of(Kind.FRAGMENT))));
        }
        return Outcome.of(readings);
    }
}
