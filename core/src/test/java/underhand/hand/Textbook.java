package underhand.hand;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;

/** The textbook fingerings, and which of them come out first or level with the first. */
public final class Textbook {

    public static final List<Entry> ALL = load();

    /** Efforts this close are level. */
    static final double LEVEL = 0.05;

    private Textbook() {}

    public record Entry(String chord, Shape shape, List<String> accepted) {}

    private static List<Entry> load() {
        try (InputStream in = Textbook.class.getResourceAsStream("textbook-fingerings.tsv")) {
            return new String(Objects.requireNonNull(in).readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.startsWith("#"))
                    .map(line -> line.split("\t"))
                    .map(c -> new Entry(c[0], Shape.parse(c[1]), List.of(c[2].split(" "))))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public static List<Entry> firstOrTied(Parameters parameters) {
        return ALL.stream().filter(e -> isFirstOrTied(e, parameters)).toList();
    }

    static boolean isFirstOrTied(Entry entry, Parameters parameters) {
        Fretboard board = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, 0);
        HandEffort effort = new HandEffort(board, Player.ADULT, parameters);
        List<Grip> grips = new FingeringSearch(board, Rung.of(5), Player.ADULT).fingerings(entry.shape());
        double least =
                grips.stream().mapToDouble(g -> effort.of(g).total()).min().orElseThrow();
        return grips.stream()
                .filter(g -> entry.accepted().contains(g.fingers()))
                .anyMatch(g -> effort.of(g).total() <= least + LEVEL);
    }
}
