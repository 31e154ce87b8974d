package underhand.hand;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Predicate;
import underhand.chord.ChordSymbol;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;

/** The fingered guitar positions of the open data set, and how far our fingerings agree with them. */
public final class FingeredChords {

    static final List<Position> ALL = load();

    static final Fretboard BOARD = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, 0);

    private FingeredChords() {}

    /** Names of the data set that are not written as lead sheets write them. */
    private static final Map<String, String> SUFFIXES = Map.of(
            "major", "",
            "minor", "m",
            "alt", "(b5)",
            "7sg", "7",
            "mmaj7", "m(maj7)",
            "mmaj7b5", "dim(maj7)",
            "mmaj9", "m(maj9)",
            "mmaj11", "m(maj11)");

    public record Position(String key, String suffix, Shape shape, String fingers) {
        ChordSymbol chord() {
            return ChordSymbol.parse(key + SUFFIXES.getOrDefault(suffix, suffix));
        }

        boolean isFingered() {
            return fingers.chars().anyMatch(c -> c != '-');
        }
    }

    /**
     * @param first positions whose fingers are our cheapest
     * @param second positions whose fingers are our second
     * @param unreached positions whose fingers are not among ours
     * @param all positions looked at
     */
    public record Agreement(int first, int second, int unreached, int all) {
        public double firstShare() {
            return (double) first / all;
        }

        public double amongTwoShare() {
            return (double) (first + second) / all;
        }
    }

    private static List<Position> load() {
        try (InputStream in = FingeredChords.class.getResourceAsStream("chords-db.tsv")) {
            String text = new String(Objects.requireNonNull(in).readAllBytes(), StandardCharsets.UTF_8);
            return text.lines()
                    .filter(line -> !line.startsWith("#"))
                    .map(line -> line.split("\t"))
                    .map(c -> new Position(c[0], c[1], Shape.parse(c[2]), c[3]))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Our fingerings of a shape, cheapest first, for a hand of the highest rung. */
    static List<String> ranked(Shape shape, Parameters parameters) {
        HandEffort effort = new HandEffort(BOARD, Player.ADULT, parameters);
        record Priced(String fingers, double cost) {}
        return new FingeringSearch(BOARD, Rung.of(5), Player.ADULT)
                .fingerings(shape).stream()
                        .map(grip -> new Priced(grip.fingers(), effort.of(grip).total()))
                        .filter(p -> !Double.isInfinite(p.cost()))
                        .sorted(Comparator.comparingDouble(Priced::cost).thenComparing(Priced::fingers))
                        .map(Priced::fingers)
                        .distinct()
                        .toList();
    }

    public static Agreement agreement(Parameters parameters, Predicate<Position> which) {
        int[] counts = new int[4];
        ALL.stream().filter(Position::isFingered).filter(which).forEach(position -> {
            int rank = ranked(position.shape(), parameters).indexOf(position.fingers());
            counts[0] += rank == 0 ? 1 : 0;
            counts[1] += rank == 1 ? 1 : 0;
            counts[2] += rank < 0 ? 1 : 0;
            counts[3]++;
        });
        return new Agreement(counts[0], counts[1], counts[2], counts[3]);
    }
}
