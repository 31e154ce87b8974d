package underhand.arrange;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import underhand.chord.ChordSymbol;
import underhand.chord.ChordType;
import underhand.harmony.Reading;
import underhand.harmony.Rules;

/** Says what one arrangement of a song adds to another. */
final class LadderWords {

    private static final int NAMED = 3;

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
            news.add("no capo");
        }
        if (news.isEmpty()) {
            Set<String> fresh = shapes(above);
            fresh.removeAll(shapes(below.get()));
            if (!fresh.isEmpty()) {
                news.add(count(fresh.size(), "other shape") + " (" + named(fresh) + ")");
            }
        }
        return news.isEmpty() ? "" : "Adds " + String.join(", ", news) + ".";
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
                .filter(r -> r.steps().size() > 1 || r.family().endsWith("line"))
                .map(Reading::family)
                .map(id -> Rules.of(id).name())
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }
}
