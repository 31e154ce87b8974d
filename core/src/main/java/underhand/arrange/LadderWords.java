package underhand.arrange;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import underhand.chord.ChordSymbol;
import underhand.chord.ChordType;
import underhand.harmony.RuleCatalogue;
import underhand.neck.Fretboard;
import underhand.repertoire.RatedGrip;
import underhand.solve.PlacedGrip;

/** Says what one arrangement of a song adds to another. */
final class LadderWords {

    private static final int NAMED = 3;

    /** Families of shapes that are worth a name when a rung brings the first of them. */
    private static final Map<String, String> FAMILIES = families();

    /** The neck counts as new when it goes on for so many frets. */
    private static final int FRETS_ON = 3;

    private static Map<String, String> families() {
        Map<String, String> words = new LinkedHashMap<>();
        words.put("triad", "three-string parts");
        words.put("shell", "shells");
        words.put("guide tones", "guide tones alone");
        words.put("tenth", "tenths");
        words.put("drop 2", "drop 2 shapes");
        words.put("drop 3", "drop 3 shapes");
        words.put("rootless", "shapes without their root");
        words.put("quartal", "stacked fourths");
        return words;
    }

    private LadderWords() {}

    /** One sentence; empty when nothing is new. */
    static String adds(Optional<Arrangement> below, Arrangement above) {
        if (below.isEmpty()) {
            return "Starts with " + count(shapes(above).size(), "shape") + ".";
        }
        List<String> news = new ArrayList<>();
        news.addAll(rules(below.get(), above));
        chords(news, "ninths and richer chords", below.get(), above, LadderWords::isExtended);
        chords(news, "sevenths", below.get(), above, t -> t.has(7) && !isExtended(t));
        barres(news, below.get(), above);
        if (slashes(below.get()).isEmpty() && !slashes(above).isEmpty()) {
            news.add("basses other than the root (" + named(slashes(above)) + ")");
        }
        if (below.get().capo() > 0 && above.capo() == 0) {
            news.add("the song without a capo");
        }
        shapes(news, below.get(), above);
        neck(news, below.get(), above);
        rightHand(news, below.get(), above);
        if (news.isEmpty()) {
            Set<String> fresh = chordShapes(above);
            fresh.removeAll(chordShapes(below.get()));
            if (!fresh.isEmpty()) {
                news.add((fresh.size() == 1 ? "another grip: " : "other grips: ") + named(fresh));
            }
        }
        return news.isEmpty() ? "" : "Adds " + String.join(", ", news) + ".";
    }

    /** Patterns that only a hand of a higher rung has. */
    private static void rightHand(List<String> news, Arrangement below, Arrangement above) {
        int reached = below.rightHand().stream()
                .mapToInt(h -> h.pattern().lowestRung())
                .max()
                .orElse(0);
        above.rightHand().stream()
                .map(PatternChoice::pattern)
                .filter(p -> p.lowestRung() > reached)
                .findFirst()
                .ifPresent(p -> news.add("the right hand's " + p.name()));
    }

    private static boolean isExtended(ChordType type) {
        return type.has(9) || type.has(11) || type.has(13);
    }

    private static String count(int number, String noun) {
        return number + " " + noun + (number == 1 ? "" : "s");
    }

    private static String named(Set<String> names) {
        String first = names.stream().limit(NAMED).collect(Collectors.joining(", "));
        return names.size() > NAMED ? first + " and more" : first;
    }

    private static Set<String> shapes(Arrangement part) {
        return part.placements().stream()
                .flatMap(p -> p.grip().stream())
                .map(g -> g.grip().shape().toString())
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private static Set<String> slashes(Arrangement part) {
        return played(part)
                .filter(c -> c.bass().isPresent())
                .map(ChordSymbol::glyphs)
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private static Stream<ChordSymbol> played(Arrangement part) {
        return part.placements().stream().flatMap(p -> p.played().stream());
    }

    /** Families of shapes of which the part below has none, each with its first shape. */
    private static void shapes(List<String> news, Arrangement below, Arrangement above) {
        Set<String> known = tagged(below).keySet();
        Map<String, String> fresh = tagged(above);
        FAMILIES.forEach((tag, words) -> {
            if (fresh.containsKey(tag) && !known.contains(tag)) {
                news.add(words + " (" + fresh.get(tag) + ")");
            }
        });
    }

    /** First grip of each family in a part, by its tag; an open chord is known as one, whatever its voicing. */
    private static Map<String, String> tagged(Arrangement part) {
        Fretboard board = part.board();
        Map<String, String> first = new LinkedHashMap<>();
        for (PlacedGrip placed : part.placements()) {
            placed.grip().ifPresent(grip -> {
                List<String> tags = grip.tags(placed.segment().chord().orElseThrow(), board);
                if (!tags.contains("open")) {
                    tags.forEach(tag -> first.putIfAbsent(tag, named(placed, grip)));
                }
            });
        }
        return first;
    }

    private static void neck(List<String> news, Arrangement below, Arrangement above) {
        int fret = highestFret(above);
        if (fret >= highestFret(below) + FRETS_ON) {
            news.add("the neck up to fret " + fret);
        }
    }

    private static int highestFret(Arrangement part) {
        return part.placements().stream()
                .flatMap(p -> p.grip().stream())
                .mapToInt(g -> part.capo() + g.grip().shape().highestFret())
                .max()
                .orElse(0);
    }

    /** Grips with the chords they stand for, such as {@code A x02224}. */
    private static Set<String> chordShapes(Arrangement part) {
        return part.placements().stream()
                .flatMap(p -> p.grip().map(g -> named(p, g)).stream())
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private static String named(PlacedGrip placed, RatedGrip grip) {
        return placed.played().map(ChordSymbol::glyphs).orElse("") + " "
                + grip.grip().shape();
    }

    private static void chords(
            List<String> news, String words, Arrangement below, Arrangement above, Predicate<ChordType> kind) {
        boolean known = played(below).anyMatch(c -> kind.test(c.type()));
        Set<String> names = played(above)
                .filter(c -> kind.test(c.type()))
                .map(ChordSymbol::glyphs)
                .collect(Collectors.toCollection(LinkedHashSet::new));
        if (!known && !names.isEmpty()) {
            news.add(words + " (" + named(names) + ")");
        }
    }

    private static void barres(List<String> news, Arrangement below, Arrangement above) {
        int before = longestBarre(below);
        int after = longestBarre(above);
        if (after > before) {
            news.add(after > 3 ? "the full barre" : "a small barre");
        }
    }

    private static int longestBarre(Arrangement part) {
        return part.placements().stream()
                .flatMap(p -> p.grip().stream())
                .flatMap(g -> g.grip().barres().stream())
                .mapToInt(h -> h.strings())
                .max()
                .orElse(0);
    }

    /** Names of colouring rules that put chords in, where the part below used none of them. */
    private static List<String> rules(Arrangement below, Arrangement above) {
        Set<String> known = splitting(below);
        return splitting(above).stream().filter(name -> !known.contains(name)).toList();
    }

    private static Set<String> splitting(Arrangement part) {
        return part.placements().stream()
                .flatMap(p -> p.reading().stream())
                .filter(r -> r.steps().size() > 1 || r.overStill())
                .map(r -> RuleCatalogue.of(r.id().rule()).name())
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }
}
