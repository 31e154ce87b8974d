package underhand.harmony;

import static underhand.harmony.Rule.Family.COLOUR;

import java.util.ArrayList;
import java.util.List;
import underhand.chord.ChordSymbol;
import underhand.harmony.Preferences.MinorDominant;
import underhand.pitch.Mode;
import underhand.pitch.Note;

/** Rules that colour one chord where it stands. All of it is common practice. */
final class ColourRules {

    static final List<Rule> ALL = List.of(
            new Rule("sevenths", "its seventh", COLOUR, 2, ColourRules::sevenths),
            new Rule("ninths", "its ninth", COLOUR, 4, ColourRules::ninths),
            new Rule("tonic-swap", "another colour of the tonic", COLOUR, 3, ColourRules::tonicSwap),
            new Rule("minor-tonic", "another colour of the minor tonic", COLOUR, 3, ColourRules::minorTonic),
            new Rule("flat-nine", "flat ninth before minor", COLOUR, 4, ColourRules::flatNine),
            new Rule("strong-minor-five", "the strong fifth degree in minor", COLOUR, 2, ColourRules::strongMinorFive),
            new Rule("tritone-swap", "the dominant a tritone off", COLOUR, 4, ColourRules::tritoneSwap),
            new Rule(
                    "relative-major-for-minor",
                    "the major a third up for the minor",
                    COLOUR,
                    4,
                    ColourRules::relativeMajorForMinor),
            new Rule("backdoor", "by the back door", COLOUR, 5, ColourRules::backdoor),
            new Rule("deceptive", "the deceptive turn", COLOUR, 5, ColourRules::deceptive),
            new Rule("ending", "a rich last chord", COLOUR, 3, ColourRules::ending));

    /** Seventh chords of the scale, degrees 1 to 7. */
    private static final List<String> MAJOR_SEVENTHS = List.of("maj7", "m7", "m7", "maj7", "7", "m7", "m7b5");

    private static final List<String> MINOR_SEVENTHS = List.of("m7", "m7b5", "maj7", "m7", "m7", "maj7", "7");
    private static final List<String> TONICS = List.of("", "maj7", "6", "6/9", "maj9");
    private static final List<String> MINOR_TONICS = List.of("m", "m6", "m(maj7)", "m9");

    private ColourRules() {}

    private static boolean isTriad(Spot spot) {
        return spot.chord().type().intervals().size() == 3
                && spot.chord().type().has(3);
    }

    private static ChordSymbol withBassOf(Spot spot, ChordSymbol chord) {
        return new ChordSymbol(chord.root(), chord.type(), spot.chord().bass());
    }

    private static Outcome sevenths(Spot spot, Preferences preferences) {
        if (!isTriad(spot)) {
            return Outcome.refused(spot.chord().glyphs() + " is no plain triad.");
        }
        boolean minorKey = spot.key().mode() == Mode.MINOR;
        boolean strongFive = minorKey && spot.degree() == 5 && spot.quality() == Quality.MAJOR;
        if (spot.degree() == 0) {
            return Outcome.refused(spot.chord().glyphs() + " stands on no degree of "
                    + spot.key().glyphs() + ".");
        }
        String suffix = strongFive ? "7" : (minorKey ? MINOR_SEVENTHS : MAJOR_SEVENTHS).get(spot.degree() - 1);
        ChordSymbol seventh = withBassOf(spot, spot.sameRoot(suffix));
        boolean sameKind = Tones.has(seventh, spot.chord().tones().get(1).note().pitchClass())
                && Tones.has(seventh, spot.chord().tones().get(2).note().pitchClass());
        if (!sameKind) {
            return Outcome.refused(
                    spot.chord().glyphs() + " is not the chord " + spot.key().glyphs() + " has on this degree.");
        }
        return Outcome.of(ReadingFactory.whole(
                "sevenths", spot, seventh, seventh.glyphs() + " is the seventh chord of this degree."));
    }

    private static Outcome ninths(Spot spot, Preferences preferences) {
        Quality quality = spot.quality();
        boolean extended = spot.chord().type().has(9)
                || spot.chord().type().has(11)
                || spot.chord().type().has(13);
        if (extended || !quality.isGoal() && quality != Quality.DOMINANT) {
            return Outcome.refused("A ninth is put on a plain major, minor or dominant chord.");
        }
        if (spot.degree() == 0) {
            return Outcome.refused(spot.chord().glyphs() + " stands on no degree of "
                    + spot.key().glyphs() + ".");
        }
        if (!spot.inKey(2)) {
            return ninthOutOfKey(spot, quality);
        }
        boolean keepsNatural = preferences.minorDominant() == MinorDominant.NATURAL_NINE;
        boolean dominant = quality == Quality.DOMINANT || isTriad(spot) && spot.degree() == 5 && spot.inKey(10);
        if (quality == Quality.MINOR) {
            return Outcome.of(ninth(spot, "m9"));
        }
        if (dominant) {
            if (spot.leadsToMinor() && !keepsNatural) {
                return Outcome.refused(spot.chord().glyphs() + " leads to " + next(spot)
                        + ": a natural ninth points to major, the flat one to minor.");
            }
            List<Reading> readings = new ArrayList<>(List.of(ninth(spot, "9")));
            if (spot.inKey(9)) {
                readings.add(ninth(spot, "13"));
            }
            return Outcome.of(readings);
        }
        List<Reading> readings = new ArrayList<>();
        if (spot.inKey(11)) {
            readings.add(ninth(spot, "maj9"));
        }
        if (spot.inKey(9)) {
            readings.add(ninth(spot, "6/9"));
        }
        return Outcome.of(readings);
    }

    /** On the third degree of major, and wherever the scale has a half step above the root. */
    private static Outcome ninthOutOfKey(Spot spot, Quality quality) {
        if (quality == Quality.DOMINANT && stanceAllowsFlat(spot)) {
            return Outcome.refused("No natural ninth here: it is out of key on this degree. A flat ninth fits.");
        }
        String why = "No natural 9 here: on degree " + spot.degree() + " it is out of key.";
        if (quality == Quality.MINOR && spot.inKey(5)) {
            ChordSymbol eleventh = withBassOf(spot, spot.sameRoot("m11"));
            ChordSymbol clean = withBassOf(spot, spot.sameRoot("m7(add11)"));
            return Outcome.of(ReadingFactory.whole(
                            "ninths:m11",
                            spot,
                            clean,
                            eleventh.glyphs() + " without its ninth: on this degree the eleventh is in key."))
                    .but(why);
        }
        return Outcome.refused(why);
    }

    private static boolean stanceAllowsFlat(Spot spot) {
        return spot.inKey(1);
    }

    private static Reading ninth(Spot spot, String suffix) {
        ChordSymbol chord = withBassOf(spot, spot.sameRoot(suffix));
        return ReadingFactory.whole(
                "ninths:" + suffix,
                spot,
                chord,
                chord.glyphs() + ": every added note is in " + spot.key().glyphs() + ".");
    }

    private static String next(Spot spot) {
        return spot.after().map(ChordSymbol::glyphs).orElse("the end");
    }

    private static Outcome tonicSwap(Spot spot, Preferences preferences) {
        if (spot.key().mode() != Mode.MAJOR || spot.degree() != 1 || spot.quality() != Quality.MAJOR) {
            return Outcome.refused("This is not the tonic of a major key.");
        }
        return swaps("tonic-swap", spot, TONICS, " stands for the tonic as well.");
    }

    private static Outcome minorTonic(Spot spot, Preferences preferences) {
        if (spot.key().mode() != Mode.MINOR || spot.degree() != 1 || spot.quality() != Quality.MINOR) {
            return Outcome.refused("This is not the tonic of a minor key.");
        }
        return swaps("minor-tonic", spot, MINOR_TONICS, " stands for the minor tonic as well.");
    }

    private static Outcome swaps(String rule, Spot spot, List<String> suffixes, String reason) {
        List<Reading> readings = new ArrayList<>();
        for (String suffix : suffixes) {
            ChordSymbol other = withBassOf(spot, spot.sameRoot(suffix));
            if (!other.equals(spot.chord())) {
                String id = rule + ":" + (suffix.isEmpty() ? "triad" : suffix);
                readings.add(ReadingFactory.whole(id, spot, other, other.glyphs() + reason));
            }
        }
        return Outcome.of(readings);
    }

    private static Outcome flatNine(Spot spot, Preferences preferences) {
        boolean major = isTriad(spot) && spot.quality() == Quality.MAJOR;
        if (spot.quality() != Quality.DOMINANT && !major || !spot.leadsToMinor()) {
            return Outcome.refused("This is no dominant that leads to a minor chord a fifth below.");
        }
        if (preferences.minorDominant() == MinorDominant.NATURAL_NINE) {
            return Outcome.refused("Your house rule keeps the natural ninth before a minor chord.");
        }
        if (spot.chord().type().suffix().equals("7b9")) {
            return Outcome.refused("It has its flat ninth already.");
        }
        ChordSymbol flat = spot.sameRoot("7b9");
        String reason = spot.chord().glyphs() + " leads to " + next(spot) + ", so the ninth is flat.";
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
                        + next(spot) + "."));
    }

    private static Outcome relativeMajorForMinor(Spot spot, Preferences preferences) {
        if (spot.quality() != Quality.MINOR) {
            return Outcome.refused("Only a minor chord has its major a third above.");
        }
        boolean heard = spot.before()
                .filter(b -> b.root().equals(spot.chord().root()) && Quality.of(b) == Quality.MINOR)
                .isPresent();
        if (!preferences.bassElsewhere() && !heard) {
            return Outcome.refused("Somebody has to play " + spot.chord().root().glyphs()
                    + " in the bass, or it has to be heard before.");
        }
        List<Reading> readings = new ArrayList<>();
        for (String suffix : List.of("maj9", "6/9")) {
            ChordSymbol major = spot.chordAt(3, suffix);
            boolean inKey =
                    major.tones().stream().allMatch(t -> spot.degreeOf(t.note().pitchClass()) > 0);
            if (inKey) {
                readings.add(ReadingFactory.whole(
                        "relative-major-for-minor:" + suffix,
                        spot,
                        major,
                        major.glyphs() + " over " + spot.chord().root().glyphs() + " is a rich "
                                + spot.chord().root().glyphs() + " minor."));
            }
        }
        return readings.isEmpty()
                ? Outcome.refused("The major chord a third up has notes out of key.")
                : Outcome.of(readings);
    }

    private static Outcome backdoor(Spot spot, Preferences preferences) {
        boolean toTonic = spot.after().isPresent()
                && spot.after().get().root().pitchClass() == spot.key().tonic().pitchClass();
        boolean dominant =
                spot.degree() == 5 && (spot.quality() == Quality.DOMINANT || spot.quality() == Quality.MAJOR);
        if (spot.key().mode() != Mode.MAJOR || !dominant || !toTonic) {
            return Outcome.refused("This is no dominant going home to a major tonic.");
        }
        ChordSymbol back = ChordSymbol.parse(
                Note.inPitchClass(Math.floorMod(spot.key().tonic().pitchClass() + 10, 12), true) + "7");
        return Outcome.of(ReadingFactory.whole(
                "backdoor", spot, back, back.glyphs() + " comes home to " + next(spot) + " from a whole step below."));
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

    private static Outcome ending(Spot spot, Preferences preferences) {
        if (!spot.last()) {
            return Outcome.refused("This is not the last chord.");
        }
        List<String> suffixes = switch (spot.quality()) {
            case MAJOR -> List.of("6/9", "maj9");
            case DOMINANT -> List.of("13", "9");
            case MINOR -> List.of("m9", "m6/9");
            default -> List.of();
        };
        if (suffixes.isEmpty()) {
            return Outcome.refused("Such a chord does not end a song.");
        }
        List<Reading> readings = new ArrayList<>();
        for (String suffix : suffixes) {
            ChordSymbol rich = spot.sameRoot(suffix);
            if (!rich.equals(spot.chord())) {
                readings.add(ReadingFactory.whole(
                        "ending:" + suffix, spot, rich, rich.glyphs() + " is a fuller sound to end on."));
            }
        }
        return Outcome.of(readings);
    }
}
