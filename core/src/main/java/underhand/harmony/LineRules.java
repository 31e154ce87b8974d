package underhand.harmony;

import static underhand.harmony.Rule.Family.COLOUR;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import underhand.chord.ChordSymbol;
import underhand.harmony.Form.Kind;
import underhand.harmony.Reading.Step;
import underhand.pitch.Mode;
import underhand.pitch.Note;

/** Rules that move one voice while the others stay: on one string alone, or they are not proposed. Common practice. */
final class LineRules {

    static final List<Rule> ALL = List.of(
            new Rule("six-nine-pair", "minor seventh to minor sixth", COLOUR, 4, LineRules::sixNinePair),
            new Rule("seven-to-six", "the seventh falls to the sixth", COLOUR, 4, LineRules::sevenToSix),
            new Rule("dominant-to-dim", "a dominant without its root", COLOUR, 4, LineRules::dominantToDim),
            new Rule("pedal", "over the note that stays in the bass", COLOUR, 4, LineRules::pedal),
            new Rule("falling-line", "a falling line", COLOUR, 4, LineRules::fallingLine),
            new Rule("rising-line", "a rising line", COLOUR, 4, LineRules::risingLine),
            new Rule("major-line", "a line over the still tonic", COLOUR, 4, LineRules::majorLine));

    /** A line's notes fall on every one of so many beats. */
    private static final double[] PACES = {4, 2, 1};

    /** A line comes again after so many bars. */
    private static final int[] ROUNDS = {1, 2, 4};

    private LineRules() {}

    private static Outcome sixNinePair(Spot spot, Preferences preferences) {
        if (!isHeardAsTwo(spot)) {
            return Outcome.refused("This is no minor chord that is heard as a second degree.");
        }
        if (!spot.hasRoom()) {
            return spot.noRoom();
        }
        ChordSymbol sixth = spot.sameRoot("m6");
        return Outcome.of(ReadingFactory.together(
                "six-nine-pair",
                spot,
                sixth.glyphs() + " has the notes of " + spot.chordAt(5, "9").glyphs()
                        + " without its root: a long second degree is heard as second and fifth.",
                Form.WHOLE,
                Bond.ONE_VOICE,
                spot.sameRoot("m7"),
                sixth));
    }

    private static boolean isHeardAsTwo(Spot spot) {
        boolean two = spot.key().mode() == Mode.MAJOR ? spot.degree() == 2 : spot.degree() == 4;
        return two && spot.quality() == Quality.MINOR;
    }

    private static Outcome sevenToSix(Spot spot, Preferences preferences) {
        String suffix = spot.chord().type().suffix();
        boolean minor = (suffix.equals("m") || suffix.equals("m7")) && spot.inKey(10) && !isHeardAsTwo(spot);
        boolean major = (suffix.isEmpty() || suffix.equals("maj7")) && spot.inKey(11);
        if (!minor && !major || spot.chord().bass().isPresent()) {
            return Outcome.refused("This is no plain chord with a seventh of the key that could fall.");
        }
        if (!spot.inKey(9)) {
            return Outcome.refused("The sixth over " + spot.chord().glyphs() + " is not in "
                    + spot.scale().glyphs() + ".");
        }
        if (!spot.hasRoom()) {
            return spot.noRoom();
        }
        ChordSymbol seventh = spot.sameRoot(minor ? "m7" : "maj7");
        ChordSymbol sixth = spot.sameRoot(minor ? "m6" : "6");
        return Outcome.of(ReadingFactory.together(
                "seven-to-six",
                spot,
                "The seventh of " + seventh.glyphs() + " falls to the sixth while the others stay.",
                Form.WHOLE,
                Bond.ONE_VOICE,
                seventh,
                sixth));
    }

    private static Outcome dominantToDim(Spot spot, Preferences preferences) {
        boolean isPlain =
                spot.chord().bass().isEmpty() && spot.chord().type().suffix().equals("7");
        if (!isPlain || !spot.leadsOn()) {
            return Outcome.refused("This is no plain dominant seventh that leads a fifth down.");
        }
        if (!spot.hasRoom()) {
            return spot.noRoom();
        }
        ChordSymbol dominant = spot.chord();
        int above = Math.floorMod(spot.chord().root().pitchClass() + 1, 12);
        ChordSymbol diminished = ChordSymbol.parse(Note.inPitchClass(above, true) + "dim7");
        String kept =
                dominant.tones().stream().skip(1).map(t -> t.note().glyphs()).collect(Collectors.joining(", "));
        return Outcome.of(ReadingFactory.together(
                "dominant-to-dim",
                spot,
                kept + " stay and the root rises a half step: " + diminished.glyphs() + " is "
                        + spot.sameRoot("7b9").glyphs() + " without its root.",
                Form.WHOLE,
                Bond.ONE_VOICE,
                dominant,
                diminished));
    }

    private static Outcome pedal(Spot spot, Preferences preferences) {
        ChordSymbol chord = spot.chord();
        boolean besideTonic = isTonic(spot, spot.before()) || isTonic(spot, spot.after());
        if (chord.bass().isPresent() || spot.degree() <= 1 || !spot.triadInScale() || !besideTonic) {
            return Outcome.refused("This is no plain chord of the key beside the tonic.");
        }
        if (preferences.bassElsewhere()) {
            return Outcome.refused("Somebody else plays the bass.");
        }
        ChordSymbol over = new ChordSymbol(
                chord.root(), chord.type(), Optional.of(spot.key().tonic()));
        return Outcome.of(ReadingFactory.whole(
                "pedal",
                spot,
                over,
                "The " + spot.key().tonic().glyphs() + " of the tonic stays in the bass under " + chord.glyphs()
                        + "."));
    }

    private static boolean isTonic(Spot spot, Optional<ChordSymbol> neighbour) {
        return neighbour
                .filter(c -> c.bass().isEmpty() && spot.degreeOf(c.root().pitchClass()) == 1)
                .isPresent();
    }

    private static Outcome fallingLine(Spot spot, Preferences preferences) {
        if (spot.quality() != Quality.MINOR) {
            return Outcome.refused("A falling line needs a minor chord that stands still.");
        }
        return overStill(spot, List.of(falling(spot, "falling-line", "m", "m(maj7)", "m7", "m6")));
    }

    private static Outcome risingLine(Spot spot, Preferences preferences) {
        if (spot.quality() != Quality.MINOR) {
            return Outcome.refused("This line needs a minor chord that stands still.");
        }
        int sixth = Math.floorMod(spot.chord().root().pitchClass() + 8, 12);
        ChordSymbol raised = new ChordSymbol(
                Note.inPitchClass(sixth, true),
                ChordSymbol.parse("C").type(),
                Optional.of(spot.chord().root()));
        List<ChordSymbol> chords = List.of(spot.sameRoot("m"), raised, spot.sameRoot("m6"), spot.sameRoot("m7"));
        return overStill(spot, List.of(new Line("rising-line", "rises", chords, new int[] {7, 8, 9, 10})));
    }

    private static Outcome majorLine(Spot spot, Preferences preferences) {
        if (spot.quality() != Quality.MAJOR || spot.degree() != 1 || spot.key().mode() != Mode.MAJOR) {
            return Outcome.refused("This is no major tonic.");
        }
        List<ChordSymbol> up = List.of(spot.sameRoot(""), spot.sameRoot("aug"), spot.sameRoot("6"), spot.sameRoot("7"));
        return overStill(
                spot,
                List.of(
                        falling(spot, "major-line:falling", "", "maj7", "7", "6"),
                        new Line("major-line:rising", "rises", up, new int[] {7, 8, 9, 10})));
    }

    /**
     * A row of chords in which one voice moves by half steps.
     *
     * @param way falls or rises
     * @param voice semitones of that voice above the root, for each chord
     */
    private record Line(String rule, String way, List<ChordSymbol> chords, int[] voice) {}

    private static Line falling(Spot spot, String rule, String... suffixes) {
        List<ChordSymbol> chords =
                List.of(suffixes).stream().map(spot::sameRoot).toList();
        return new Line(rule, "falls", chords, new int[] {0, 11, 10, 9});
    }

    /** Where the moving voice lies, and the strings it may be asked for on. */
    private enum Place {
        INSIDE("inside", 2, 5),
        TOP("on top", 1, 3),
        BASS("in the bass", 1, 0);

        private final String words;
        private final int firstString;
        private final int lastString;

        Place(String words, int firstString, int lastString) {
            this.words = words;
            this.firstString = firstString;
            this.lastString = lastString;
        }

        IntStream strings() {
            return IntStream.rangeClosed(firstString, lastString);
        }
    }

    /** Every line at every pace and place, then each on strings of its own and coming again. */
    private static Outcome overStill(Spot spot, List<Line> lines) {
        double bar = spot.slot().metre().beats();
        if (spot.stillBeats() < 2 * bar) {
            return Outcome.refused(spot.chord().glyphs() + " stands still for less than two bars.");
        }
        List<Reading> readings = new ArrayList<>();
        List<Reading> closer = new ArrayList<>();
        for (Line line : lines) {
            for (double pace : paces(bar)) {
                double length = line.chords().size() * pace;
                if (length <= spot.stillBeats()) {
                    for (Place place : Place.values()) {
                        ReadingId id = ReadingId.parse(
                                line.rule() + ":" + place.name().toLowerCase(Locale.ROOT) + ":" + (int) pace);
                        readings.add(reading(id, spot, line, place, pace, 0, 0));
                        closer.addAll(closer(id, spot, line, place, pace));
                    }
                }
            }
        }
        readings.addAll(closer);
        return Outcome.of(readings);
    }

    private static List<Reading> closer(ReadingId id, Spot spot, Line line, Place place, double pace) {
        double bar = spot.slot().metre().beats();
        List<Reading> closer = new ArrayList<>();
        place.strings().forEach(s -> closer.add(reading(id.closer("string-" + s), spot, line, place, pace, s, 0)));
        for (int bars : ROUNDS) {
            boolean comesAgain = line.chords().size() * pace <= bars * bar && 2 * bars * bar <= spot.stillBeats();
            if (comesAgain) {
                ReadingId again = id.closer("every-" + bars);
                closer.add(reading(again, spot, line, place, pace, 0, bars));
                place.strings()
                        .forEach(s ->
                                closer.add(reading(again.closer("string-" + s), spot, line, place, pace, s, bars)));
            }
        }
        return closer;
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

    /**
     * @param string number it is to be on; 0 for any
     * @param rounds bars after which it comes again; 0 for never
     */
    private static Reading reading(
            ReadingId id, Spot spot, Line line, Place place, double pace, int string, int rounds) {
        double bar = spot.slot().metre().beats();
        List<Step> row = new ArrayList<>();
        for (int i = 0; i < line.chords().size(); i++) {
            int moving = Math.floorMod(spot.chord().root().pitchClass() + line.voice()[i], 12);
            Form form = place == Place.BASS
                    ? Form.WHOLE
                    : new Form(place == Place.TOP ? Kind.TOP : Kind.INSIDE, moving, string);
            ChordSymbol chord = place == Place.BASS
                    ? over(line.chords().get(0), moving, spot)
                    : line.chords().get(i);
            Bond bond = i == line.chords().size() - 1 ? Bond.FREE : Bond.ONE_VOICE;
            row.add(new Step(chord, pace, form, bond));
        }
        String every = pace == 1 ? "every beat" : pace == bar ? "every bar" : "every " + (int) pace + " beats";
        String on = string > 0 ? " on string " + string : "";
        String again = rounds == 0
                ? ""
                : rounds == 1 ? " It comes again every bar." : " It comes again every " + rounds + " bars.";
        String mud = place == Place.BASS ? " Low down it is muddy." : "";
        return ReadingFactory.within(
                id,
                spot,
                "One voice " + line.way() + " by half steps " + place.words + on + ", " + every
                        + ", while the others stay." + again + mud,
                pace,
                rounds == 0 ? spot.stillBeats() : rounds * bar,
                row);
    }

    private static ChordSymbol over(ChordSymbol chord, int bass, Spot spot) {
        Note note = spot.degreeOf(bass) > 0 ? spot.key().spell(bass) : Note.inPitchClass(bass, false);
        Optional<Note> other = note.pitchClass() == chord.root().pitchClass() ? Optional.empty() : Optional.of(note);
        return new ChordSymbol(chord.root(), chord.type(), other);
    }
}
