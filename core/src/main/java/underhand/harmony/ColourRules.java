package underhand.harmony;

import static underhand.harmony.Rule.Family.COLOUR;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import underhand.chord.ChordSymbol;
import underhand.harmony.Preferences.MinorDominant;
import underhand.pitch.Key;
import underhand.pitch.Mode;

/** Rules that colour one chord where it stands. All of it is common practice. */
final class ColourRules {

    static final List<Rule> ALL = List.of(
            new Rule("sevenths", "its seventh", COLOUR, 2, ColourRules::sevenths),
            new Rule("ninths", "its ninth", COLOUR, 4, ColourRules::ninths),
            new Rule("tonic-swap", "another colour of the tonic", COLOUR, 3, ColourRules::tonicSwap),
            new Rule("minor-tonic", "another colour of the minor tonic", COLOUR, 3, ColourRules::minorTonic),
            new Rule(
                    "relative-major-for-minor",
                    "the major a third up for the minor",
                    COLOUR,
                    4,
                    ColourRules::relativeMajorForMinor),
            new Rule("borrowed-colour", "a borrowed chord's own colour", COLOUR, 3, ColourRules::borrowedColour),
            new Rule("ending", "a rich last chord", COLOUR, 3, ColourRules::ending));

    private static final List<String> TONICS = List.of("", "maj7", "6", "6/9", "maj9");
    private static final List<String> MINOR_TONICS = List.of("m", "m6", "m(maj7)", "m9");

    /** The sixth and the seventh a minor tonic borrows from the scale going up, in semitones above its root. */
    private static final Set<Integer> MELODIC = Set.of(9, 11);

    /** What a chord brings along that is not in the scale itself: ninths, sixth and major seventh above its root. */
    private static final Set<Integer> ITS_OWN = Set.of(1, 2, 9, 11);

    private ColourRules() {}

    private static ChordSymbol withBassOf(Spot spot, ChordSymbol chord) {
        return new ChordSymbol(chord.root(), chord.type(), spot.chord().bass());
    }

    private static ChordSymbol coloured(Spot spot, String suffix) {
        return withBassOf(spot, spot.sameRoot(suffix));
    }

    /**
     * Why a colour is not in place: a note out of the scale, or one the next chord takes back; empty where it is.
     *
     * @param free semitones above the root that need not be in the scale
     */
    private static Optional<String> against(Spot spot, ChordSymbol colour, Set<Integer> free) {
        Optional<String> outside = spot.outside(colour, free)
                .map(n -> "The " + n.glyphs() + " of " + colour.glyphs() + " is no note of "
                        + spot.scale().glyphs() + ".");
        return outside.or(() -> spot.contradicted(colour)
                .map(n -> "The " + n.glyphs() + " of " + colour.glyphs() + " is taken back by " + spot.next() + "."));
    }

    /** Those of the colours that are in place, each with what is said of it, and why the others are not. */
    private static Outcome inPlace(String rule, Spot spot, List<String> suffixes, Set<Integer> free, String says) {
        List<Reading> readings = new ArrayList<>();
        String why = "";
        for (String suffix : suffixes) {
            ChordSymbol colour = coloured(spot, suffix);
            if (colour.equals(spot.chord())) {
                continue;
            }
            Optional<String> against = against(spot, colour, free);
            if (against.isEmpty()) {
                String id = rule + ":" + (suffix.isEmpty() ? "triad" : suffix);
                readings.add(ReadingFactory.whole(id, spot, colour, colour.glyphs() + says));
            } else {
                why = why.isEmpty() ? against.get() : why;
            }
        }
        return Outcome.of(readings).but(why);
    }

    private static Optional<Outcome> onNoDegree(Spot spot) {
        return spot.degree() > 0
                ? Optional.empty()
                : Optional.of(Outcome.refused(spot.chord().glyphs() + " stands on no degree of "
                        + spot.key().glyphs() + "."));
    }

    private static Outcome sevenths(Spot spot, Preferences preferences) {
        if (!spot.isTriad()) {
            return Outcome.refused(spot.chord().glyphs() + " is no plain triad.");
        }
        Optional<Outcome> noDegree = onNoDegree(spot);
        if (noDegree.isPresent()) {
            return noDegree.get();
        }
        if (!spot.isMinorDominant() && !spot.triadInScale()) {
            return Outcome.refused(
                    spot.chord().glyphs() + " is not the chord " + spot.key().glyphs() + " has on this degree.");
        }
        List<String> sevenths = sevenths(spot.quality());
        Optional<ChordSymbol> seventh = sevenths.stream()
                .map(suffix -> coloured(spot, suffix))
                .filter(c -> spot.outside(c).isEmpty())
                .findFirst();
        if (seventh.isEmpty()) {
            return Outcome.refused("No seventh of " + spot.chord().glyphs() + " is in "
                    + spot.scale().glyphs() + ".");
        }
        ChordSymbol chord = seventh.get();
        if (spot.degree() == 1 && Quality.of(chord) == Quality.DOMINANT) {
            return Outcome.refused("The seventh "
                    + spot.scale().glyphs() + " has on its tonic makes a dominant of it: " + chord.glyphs()
                    + " pulls away.");
        }
        return against(spot, chord, Set.of())
                .map(Outcome::refused)
                .orElseGet(() -> Outcome.of(ReadingFactory.whole(
                        "sevenths", spot, chord, chord.glyphs() + " is the seventh chord of this degree.")));
    }

    /** Seventh chords that keep a triad of a quality. */
    private static List<String> sevenths(Quality quality) {
        return switch (quality) {
            case MAJOR -> List.of("maj7", "7");
            case MINOR -> List.of("m7");
            case DIMINISHED -> List.of("m7b5");
            default -> List.of();
        };
    }

    private static Outcome ninths(Spot spot, Preferences preferences) {
        Quality quality = spot.quality();
        boolean extended = spot.chord().type().has(9)
                || spot.chord().type().has(11)
                || spot.chord().type().has(13);
        if (extended || !quality.isGoal() && quality != Quality.DOMINANT) {
            return Outcome.refused("A ninth is put on a plain major, minor or dominant chord.");
        }
        Optional<Outcome> noDegree = onNoDegree(spot);
        if (noDegree.isPresent()) {
            return noDegree.get();
        }
        boolean pointsToMinor = spot.boundForMinor().isPresent() || spot.isMinorDominant();
        boolean dominant = quality == Quality.DOMINANT || spot.isTriad() && spot.degree() == 5 && spot.inKey(10);
        if (dominant && pointsToMinor && quality != Quality.MINOR) {
            return preferences.minorDominant() == MinorDominant.NATURAL_NINE
                    ? Outcome.of(ninth(spot, "9", " keeps its natural ninth, as your house rule has it."))
                    : Outcome.refused(spot.chord().glyphs() + " leads to " + minorGoal(spot)
                            + ": a natural ninth points to major, the flat one to minor.");
        }
        if (!spot.inKey(2)) {
            return ninthOutOfKey(spot, quality);
        }
        List<String> suffixes =
                quality == Quality.MINOR ? List.of("m9") : dominant ? List.of("9", "13") : List.of("maj9", "6/9");
        return inPlace(
                "ninths",
                spot,
                suffixes,
                Set.of(),
                ": every added note is in " + spot.scale().glyphs() + ".");
    }

    private static String minorGoal(Spot spot) {
        return spot.boundForMinor()
                .map(ChordSymbol::glyphs)
                .orElseGet(() -> spot.key().tonic().glyphs() + "m");
    }

    /** On the third degree of major, and wherever the scale has a half step above the root. */
    private static Outcome ninthOutOfKey(Spot spot, Quality quality) {
        String why = "No natural 9 here: on degree " + spot.degree() + " it is out of key.";
        ChordSymbol clean = coloured(spot, "m7(add11)");
        if (quality == Quality.MINOR && spot.outside(clean).isEmpty()) {
            ChordSymbol eleventh = coloured(spot, "m11");
            return Outcome.of(ReadingFactory.whole(
                            "ninths:m11",
                            spot,
                            clean,
                            eleventh.glyphs() + " without its ninth: on this degree the eleventh is in key."))
                    .but(why);
        }
        return Outcome.refused(why);
    }

    private static Reading ninth(Spot spot, String suffix, String reason) {
        ChordSymbol chord = coloured(spot, suffix);
        return ReadingFactory.whole("ninths:" + suffix, spot, chord, chord.glyphs() + reason);
    }

    private static Outcome tonicSwap(Spot spot, Preferences preferences) {
        if (spot.key().mode() != Mode.MAJOR || spot.degree() != 1 || spot.quality() != Quality.MAJOR) {
            return Outcome.refused("This is not the tonic of a major key.");
        }
        return inPlace("tonic-swap", spot, TONICS, Set.of(), " stands for the tonic as well.");
    }

    private static Outcome minorTonic(Spot spot, Preferences preferences) {
        if (spot.key().mode() != Mode.MINOR || spot.degree() != 1 || spot.quality() != Quality.MINOR) {
            return Outcome.refused("This is not the tonic of a minor key.");
        }
        return inPlace("minor-tonic", spot, MINOR_TONICS, melodic(spot), " stands for the minor tonic as well.");
    }

    private static Outcome borrowedColour(Spot spot, Preferences preferences) {
        Spot there = spot.inScale(ModalScale.plain(new Key(spot.key().tonic(), Mode.MINOR)));
        if (spot.key().mode() != Mode.MAJOR || spot.triadInScale() || !there.triadInScale()) {
            return Outcome.refused("This chord is not borrowed from the minor key on the same tonic.");
        }
        List<String> suffixes = switch (spot.quality()) {
            case MAJOR -> List.of("maj7", "7", "maj9");
            case MINOR -> List.of("m6", "m7", "m6/9");
            default -> List.of();
        };
        if (!spot.isTriad() || suffixes.isEmpty()) {
            return Outcome.refused(spot.chord().glyphs() + " has its colour already.");
        }
        return inPlace(
                "borrowed-colour",
                there,
                suffixes,
                Set.of(),
                ": every added note is in " + there.scale().glyphs() + ", where the chord is borrowed from.");
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
            if (spot.outside(major).isEmpty()) {
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

    private static Outcome ending(Spot spot, Preferences preferences) {
        if (!spot.last()) {
            return Outcome.refused("This is not the last chord.");
        }
        boolean natural = preferences.minorDominant() == MinorDominant.NATURAL_NINE;
        boolean pointsToMinor = spot.boundForMinor().isPresent() || spot.isMinorDominant();
        List<String> suffixes = switch (spot.quality()) {
            case MAJOR -> List.of("6/9", "maj9");
            case DOMINANT -> pointsToMinor && !natural ? List.of("7b9") : List.of("13", "9");
            case MINOR -> List.of("m9", "m6/9");
            default -> List.of();
        };
        if (suffixes.isEmpty()) {
            return Outcome.refused("Such a chord does not end a song.");
        }
        boolean bringsItsOwn = spot.quality() == Quality.DOMINANT || !spot.triadInScale();
        Set<Integer> free = bringsItsOwn ? ITS_OWN : spot.quality() == Quality.MINOR ? melodic(spot) : Set.of();
        return inPlace("ending", spot, suffixes, free, " is a fuller sound to end on.");
    }

    private static Set<Integer> melodic(Spot spot) {
        boolean plainTonic = spot.degree() == 1
                && spot.key().mode() == Mode.MINOR
                && spot.scale().flavour() == ModalScale.Flavour.PLAIN;
        return plainTonic ? MELODIC : Set.of();
    }
}
