package underhand.harmony;

import static underhand.harmony.ChordFacts.above;
import static underhand.harmony.ChordFacts.chord;
import static underhand.harmony.ChordFacts.inKey;
import static underhand.harmony.ChordFacts.isDominantLike;
import static underhand.harmony.ChordFacts.isInScale;
import static underhand.harmony.ChordFacts.isLine;
import static underhand.harmony.ChordFacts.isMajor;
import static underhand.harmony.ChordFacts.isMinorFive;
import static underhand.harmony.ChordFacts.isTriad;
import static underhand.harmony.ChordFacts.note;
import static underhand.harmony.ChordFacts.rootPlus;
import static underhand.harmony.ChordFacts.scale;
import static underhand.harmony.ChordFacts.seventhOf;
import static underhand.harmony.ChordFacts.tones;
import static underhand.harmony.ChordFacts.triad;
import static underhand.harmony.ChordFacts.withoutRoot;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import underhand.pitch.Mode;

/**
 * What the sentences of the rules say of notes, degrees and neighbours, each with how it is worked out again from the words and
 * the notes of the chart alone. All of it any harmony book has.
 */
final class Claims {

    private static final String CHORD = "([A-G][♭♯]?[^ ,:;.]*)";
    private static final String NOTE = "([A-G][♭♯]?)";
    private static final String SCALE = "([A-G][♭♯]? (?:major|minor|dorian|phrygian|lydian|mixolydian))";

    /** What a sentence says, and whether it is so. */
    record Claim(Pattern words, Check check) {}

    interface Check {
        boolean holds(MatchResult words, Said said);
    }

    /** A sentence about a placement. */
    record Said(String sentence, Spot spot, Preferences preferences, List<Reading.Step> steps) {

        Set<Integer> own() {
            return tones(spot.chord().withoutBass());
        }

        int way() {
            return spot.after().map(a -> above(spot.chord(), a)).orElse(-1);
        }
    }

    static final List<Claim> ALL = new ArrayList<>();

    private static void claim(String words, Check check) {
        ALL.add(new Claim(
                Pattern.compile(
                        words.replace("CHORD", CHORD).replace("NOTE", NOTE).replace("SCALE", SCALE)),
                check));
    }

    private static boolean hasThird(Said said) {
        return said.own().contains(rootPlus(said, 3)) || said.own().contains(rootPlus(said, 4));
    }

    /** Words that advise, and state no fact. */
    private static void advice(String words) {
        claim(Pattern.quote(words), (w, s) -> true);
    }

    static {
        // Notes of a chord against a scale.
        claim(
                "CHORD: every added note is in SCALE",
                (w, s) -> tones(chord(w.group(1)).withoutBass()).stream()
                        .allMatch(t -> s.own().contains(t) || scale(w.group(2)).contains(t)));
        claim(
                "The NOTE of CHORD is no note of SCALE",
                (w, s) -> tones(chord(w.group(2))).contains(note(w.group(1)))
                        && !scale(w.group(3)).contains(note(w.group(1))));
        claim(
                "The fourth of CHORD is no note of SCALE",
                (w, s) -> !scale(w.group(2))
                        .contains(Math.floorMod(chord(w.group(1)).root().pitchClass() + 5, 12)));
        claim(
                "The NOTE of CHORD is taken back by CHORD",
                (w, s) -> tones(chord(w.group(3))).contains(Math.floorMod(note(w.group(1)) - 1, 12)));
        claim(
                "No natural 9 here: on degree (\\d) it is out of key",
                (w, s) -> s.spot().degree() == Integer.parseInt(w.group(1))
                        && !inKey(s, s.spot().chord(), 2));
        claim("The second of CHORD, NOTE, is out of key", (w, s) -> !inKey(s, chord(w.group(1)), 2));
        claim("The fifth of CHORD is out of key", (w, s) -> !inKey(s, chord(w.group(1)), 7));
        claim("CHORD is the seventh chord of this degree", (w, s) -> {
            Set<Integer> seventh = tones(chord(w.group(1)).withoutBass());
            return seventh.containsAll(s.own())
                    && seventh.stream().allMatch(t -> s.own().contains(t) || isInScale(s, t));
        });
        claim(
                "CHORD stands on no degree of SCALE",
                (w, s) -> !scale(w.group(2)).contains(chord(w.group(1)).root().pitchClass()));
        claim(
                "CHORD is not the chord SCALE has on this degree",
                (w, s) -> !scale(w.group(2)).containsAll(tones(chord(w.group(1)).withoutBass())));
        claim(
                "CHORD has the leading note: it pulls to NOTE minor",
                (w, s) -> tones(chord(w.group(1))).contains(Math.floorMod(note(w.group(2)) - 1, 12)));
        claim(
                "has on its tonic makes a dominant of it: CHORD pulls",
                (w, s) -> chord(w.group(1)).root().pitchClass()
                                == s.spot().key().tonic().pitchClass()
                        && tones(chord(w.group(1)))
                                .containsAll(List.of(
                                        (chord(w.group(1)).root().pitchClass() + 4) % 12,
                                        (chord(w.group(1)).root().pitchClass() + 10) % 12)));
        claim(
                "CHORD without its ninth: on this degree the eleventh is in key",
                (w, s) -> inKey(s, chord(w.group(1)), 5) && !inKey(s, chord(w.group(1)), 2));
        claim(
                "The major chord a third up has notes out of key",
                (w, s) -> !isInScale(s, rootPlus(s, 3))
                        || !isInScale(s, rootPlus(s, 7))
                        || !isInScale(s, rootPlus(s, 10))
                        || !isInScale(s, rootPlus(s, 5))
                        || !isInScale(s, rootPlus(s, 2)) && !isInScale(s, rootPlus(s, 0)));

        // Chords against each other.
        claim(
                "CHORD is CHORD without its root",
                (w, s) -> tones(chord(w.group(1))).equals(withoutRoot(chord(w.group(2)))));
        claim(
                "CHORD has the notes of CHORD without its root",
                (w, s) -> tones(chord(w.group(1))).equals(withoutRoot(chord(w.group(2)))));
        claim(
                "CHORD has the same notes as CHORD, every (\\d) frets",
                (w, s) -> tones(chord(w.group(1))).equals(tones(chord(w.group(2))))
                        && above(chord(w.group(2)), chord(w.group(1))) % Integer.parseInt(w.group(3)) == 0);
        claim("CHORD shares third and seventh with CHORD and falls a half step to CHORD", (w, s) -> {
            Set<Integer> shared = tones(chord(w.group(1)));
            shared.retainAll(tones(chord(w.group(2))));
            int root = chord(w.group(2)).root().pitchClass();
            return shared.containsAll(List.of((root + 4) % 12, (root + 10) % 12))
                    && above(chord(w.group(1)), chord(w.group(3))) == 11;
        });
        claim(
                "CHORD for CHORD: the seventh stays",
                (w, s) -> seventhOf(chord(w.group(1))) == seventhOf(chord(w.group(2))));
        claim(
                "CHORD for CHORD: the triad is left",
                (w, s) -> tones(chord(w.group(1)).withoutBass()).size() == 3);
        claim(
                "CHORD has nothing above its triad",
                (w, s) -> tones(chord(w.group(1)).withoutBass()).size() <= 3);
        claim("CHORD is no plain triad", (w, s) -> !isTriad(chord(w.group(1))));
        claim(
                "CHORD: root and fifth",
                (w, s) -> tones(chord(w.group(1)).withoutBass()).equals(Set.of(rootPlus(s, 0), rootPlus(s, 7))));
        claim(
                "A power chord has a perfect fifth and no third",
                (w, s) -> !s.own().contains(rootPlus(s, 7))
                        || !s.own().contains(rootPlus(s, 3)) && !s.own().contains(rootPlus(s, 4))
                        || s.own().size() == 3);
        claim(
                "It is a power chord already",
                (w, s) -> s.own().size() <= 3
                        && !s.own().contains(rootPlus(s, 3))
                        && !s.own().contains(rootPlus(s, 4)));
        claim(
                "The bass NOTE of CHORD would be lost: nobody else plays it",
                (w, s) -> !s.preferences().bassElsewhere()
                        && s.spot().chord().lowest().pitchClass() == note(w.group(1)));
        claim(
                "The bass NOTE is left to the bass player",
                (w, s) -> s.preferences().bassElsewhere()
                        && s.spot().chord().lowest().pitchClass() == note(w.group(1)));
        claim(
                "The bass of CHORD is the third that would be left out",
                (w, s) -> List.of(3, 4)
                        .contains(Math.floorMod(
                                chord(w.group(1)).lowest().pitchClass()
                                        - chord(w.group(1)).root().pitchClass(),
                                12)));
        claim(
                "The bass of CHORD is not its root",
                (w, s) -> chord(w.group(1)).bass().isPresent());
        claim("CHORD has no slash bass", (w, s) -> chord(w.group(1)).bass().isEmpty());
        claim("CHORD has a bass of its own", (w, s) -> chord(w.group(1)).bass().isPresent());
        claim(
                "CHORD without the NOTE in the bass",
                (w, s) -> s.spot().chord().lowest().pitchClass() == note(w.group(2)));
        claim(
                "CHORD has only two notes",
                (w, s) -> tones(chord(w.group(1)).withoutBass()).size() == 2);
        claim(
                "has no third and seventh to guide",
                (w, s) -> !hasThird(s)
                        || !s.own().contains(rootPlus(s, 10)) && !s.own().contains(rootPlus(s, 11)));
        claim("has no third to stand a tenth above", (w, s) -> !hasThird(s));
        claim(
                "CHORD over NOTE is a rich NOTE minor",
                (w, s) -> tones(chord(w.group(1)))
                        .containsAll(List.of((note(w.group(2)) + 3) % 12, (note(w.group(2)) + 7) % 12)));
        claim("the (?:fourth|chord a whole step below it over its root) holds the third of CHORD back", (w, s) -> {
            int root = chord(w.group(1)).root().pitchClass();
            Set<Integer> held = tones(s.steps().get(0).chord());
            return held.contains((root + 5) % 12) && !held.contains((root + 4) % 12);
        });
        claim(
                "CHORD leaves a string open",
                (w, s) -> s.steps().get(0).chord().type().suffix().equals("maj7"));

        // Chords against their neighbours.
        claim(
                "CHORD leads to CHORD(?:, so|:)",
                (w, s) -> s.spot().boundForMinor().isPresent()
                        ? above(s.spot().chord(), chord(w.group(2))) == 5
                                && tones(chord(w.group(2)))
                                        .contains((chord(w.group(2)).root().pitchClass() + 3) % 12)
                        : isMinorFive(s));
        claim(
                "CHORD is bound for CHORD",
                (w, s) -> above(chord(w.group(1)), chord(w.group(2))) == 5
                        && tones(chord(w.group(2)))
                                .contains((chord(w.group(2)).root().pitchClass() + 3) % 12));
        claim("CHORD is the dominant of SCALE", (w, s) -> isMinorFive(s));
        claim(
                "CHORD is the dominant of CHORD (?:and leads|already)",
                (w, s) -> above(chord(w.group(1)), chord(w.group(2))) == 5
                        && s.spot().after().orElseThrow().equals(chord(w.group(2))));
        claim(
                "its own second, CHORD, stands before it",
                (w, s) -> above(s.steps().get(1).chord(), s.steps().get(2).chord()) == 5);
        claim(
                "CHORD before CHORD: the second degree of CHORD makes",
                (w, s) -> above(chord(w.group(3)), chord(w.group(1))) == 2);
        claim("CHORD passes by half steps from CHORD to (the fifth of )?CHORD", (w, s) -> {
            int target = chord(w.group(4)).root().pitchClass() + (w.group(3) == null ? 0 : 7);
            return above(chord(w.group(2)), chord(w.group(1))) == 1
                    && Math.floorMod(target - chord(w.group(1)).root().pitchClass(), 12) == 1;
        });
        claim(
                "What follows lies no whole step above, nor is it the tonic after the fourth degree",
                (w, s) -> s.way() != 2 && !(s.spot().degree() == 4 && s.way() == 7));
        claim("is offered in major keys", (w, s) -> s.spot().key().mode() == Mode.MINOR);
        claim(
                "CHORD comes home to CHORD from a whole step below",
                (w, s) -> above(chord(w.group(1)), chord(w.group(2))) == 2 && isMajor(chord(w.group(2))));
        claim(
                "CHORD is borrowed from the minor key: its third falls on to CHORD",
                (w, s) -> tones(chord(w.group(2)))
                        .contains(Math.floorMod(chord(w.group(1)).root().pitchClass() + 3 - 1, 12)));
        claim(
                "CHORD after the dominant",
                (w, s) -> above(s.spot().before().orElseThrow(), s.spot().chord()) == 5);
        claim(
                "The ninth falls from sharp to flat before CHORD",
                (w, s) -> above(s.spot().chord(), chord(w.group(1))) == 5);
        claim(
                "The grip of CHORD a fret too (high|low)",
                (w, s) -> above(chord(w.group(1)), s.steps().get(1).chord())
                        == (w.group(2).equals("high") ? 1 : 11));
        claim(
                "CHORD has no room for two chords: each needs 2 beats",
                (w, s) -> s.spot().beats() < 4);
        claim("stands still for less than two bars", (w, s) -> s.spot().stillBeats() < 8);
        claim("One voice (falls|rises) by half steps", (w, s) -> s.steps().size() == 1 || isLine(s, w.group(1)));
        claim(
                "CHORD has the same notes as CHORD: the grip moves (\\d) frets (up|down)",
                (w, s) -> tones(chord(w.group(1))).equals(tones(chord(w.group(2))))
                        && above(chord(w.group(2)), chord(w.group(1)))
                                == Math.floorMod(
                                        Integer.parseInt(w.group(3))
                                                * (w.group(4).equals("up") ? 1 : -1),
                                        12));
        claim("One grip walks (up|down) by half steps from CHORD to CHORD", (w, s) -> {
            List<Integer> roots = new ArrayList<>();
            s.steps().forEach(step -> roots.add(step.chord().root().pitchClass()));
            roots.add(chord(w.group(3)).root().pitchClass());
            int way = w.group(1).equals("up") ? 1 : 11;
            return IntStream.range(1, roots.size())
                    .allMatch(i -> Math.floorMod(roots.get(i) - roots.get(i - 1), 12) == way);
        });
        claim(
                "lies not two to four half steps away",
                (w, s) -> Math.min(s.way(), 12 - s.way()) < 2 || Math.min(s.way(), 12 - s.way()) > 4);
        claim(
                "is no diminished seventh and no augmented triad",
                (w, s) -> s.spot().chord().bass().isPresent()
                        || !s.own().equals(Set.of(rootPlus(s, 0), rootPlus(s, 3), rootPlus(s, 6), rootPlus(s, 9)))
                                && !s.own().equals(Set.of(rootPlus(s, 0), rootPlus(s, 4), rootPlus(s, 8))));
        claim("stay and the root rises a half step: CHORD is", (w, s) -> {
            Set<Integer> without = withoutRoot(s.spot().chord());
            without.add(rootPlus(s, 1));
            return without.equals(tones(chord(w.group(1))));
        });
        claim(
                "The seventh of CHORD falls to the sixth",
                (w, s) -> isInScale(s, rootPlus(s, 9)) && isInScale(s, rootPlus(s, seventhOf(chord(w.group(1))))));
        claim(
                "The sixth over CHORD is not in SCALE",
                (w, s) -> !scale(w.group(2)).contains(rootPlus(s, 9)));
        claim(
                "The NOTE of the tonic stays in the bass under CHORD",
                (w, s) -> note(w.group(1)) == s.spot().key().tonic().pitchClass()
                        && s.steps().get(0).chord().lowest().pitchClass() == note(w.group(1)));
        claim("Somebody else plays the bass", (w, s) -> s.preferences().bassElsewhere());
        claim("The next chord has the same root", (w, s) -> s.way() == 0);
        claim(
                "Its second stands before it already",
                (w, s) -> above(s.spot().before().orElseThrow(), s.spot().chord()) == 5);
        claim("This is no dominant that leads a fifth down", (w, s) -> s.way() != 5 || !isDominantLike(s));
        claim(
                "This is no dominant seventh that leads a fifth down",
                (w, s) -> s.way() != 5 || !s.own().containsAll(List.of(rootPlus(s, 4), rootPlus(s, 10))));
        claim(
                "This is no plain dominant seventh that leads a fifth down",
                (w, s) -> s.way() != 5
                        || s.spot().chord().bass().isPresent()
                        || !s.own().equals(Set.of(rootPlus(s, 0), rootPlus(s, 4), rootPlus(s, 7), rootPlus(s, 10))));
        claim(
                "This is no dominant that leads to a minor chord",
                (w, s) -> s.spot().boundForMinor().isEmpty() && !isMinorFive(s)
                        || !s.own().contains(rootPlus(s, 4))
                        || s.spot().degree() == 1
                        || s.own().contains(rootPlus(s, 11))
                        || !s.own().contains(rootPlus(s, 7))
                        || !isTriad(s.spot().chord()) && !s.own().contains(rootPlus(s, 10)));
        claim(
                "This is no dominant going home to a major tonic",
                (w, s) -> s.spot().degree() != 5
                        || !s.own().contains(rootPlus(s, 4))
                        || s.way() != 5
                        || !isMajor(s.spot().after().orElseThrow())
                        || s.own().contains(rootPlus(s, 11))
                        || s.own().contains(rootPlus(s, 8)));
        claim("This is not the last chord", (w, s) -> s.spot().after().isPresent());
        claim("The song ends here", (w, s) -> s.spot().after().isEmpty());
        claim(
                "This is not the tonic of a (major|minor) key|This is no major tonic",
                (w, s) -> s.spot().degree() != 1
                        || s.spot().key().mode()
                                != (String.valueOf(w.group(1)).equals("minor") ? Mode.MINOR : Mode.MAJOR)
                        || !s.own().contains(rootPlus(s, s.spot().key().mode() == Mode.MAJOR ? 4 : 3))
                        || s.own().contains(rootPlus(s, 10))
                        || !s.own().contains(rootPlus(s, 7)));
        claim(
                "Nobody else plays the bass here|nobody else plays the bass here|Third and seventh alone need",
                (w, s) -> !s.preferences().bassElsewhere());
        claim(
                "Somebody has to play NOTE in the bass",
                (w, s) -> !s.preferences().bassElsewhere());
        claim("one thing less to think of", (w, s) -> s.preferences().rung() == 1);
        claim("the bass player has it", (w, s) -> s.preferences().bassElsewhere());
        claim(
                "CHORD is the fifth degree over its third",
                (w, s) -> Math.floorMod(
                                        chord(w.group(1)).root().pitchClass()
                                                - s.spot().key().tonic().pitchClass(),
                                        12)
                                == 7
                        && above(chord(w.group(1)), s.spot().chord()) == 4);
        claim(
                "This is no diminished chord on the seventh degree of a major key",
                (w, s) -> s.spot().degree() != 7
                        || s.spot().key().mode() != Mode.MAJOR
                        || !s.own().contains(rootPlus(s, 6)));
        claim(
                "This chord is not borrowed from the minor key",
                (w, s) -> s.spot().key().mode() == Mode.MINOR
                        || triad(s).stream().allMatch(t -> isInScale(s, t))
                        || !scale(s.spot().key().tonic().glyphs() + " minor").containsAll(triad(s)));
        claim(
                "where the chord is borrowed from",
                (w, s) -> scale(s.spot().key().tonic().glyphs() + " minor").containsAll(triad(s)));

        lines("advice.txt").forEach(Claims::advice);
    }

    private static Stream<String> lines(String resource) {
        try (InputStream text = Claims.class.getResourceAsStream(resource)) {
            return new String(text.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.startsWith("#"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Claims() {}
}
