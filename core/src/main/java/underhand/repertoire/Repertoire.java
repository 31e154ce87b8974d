package underhand.repertoire;

import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import underhand.hand.Grip;
import underhand.hand.Rung;
import underhand.neck.Shape;
import underhand.table.Table;

/** The shapes a player already has, those taught up to a rung, and the fingers they are taught with: {@code taught-shapes.csv}. */
final class Repertoire {

    /** Where on the neck a shape is taught. */
    private enum Kind {
        OPEN,
        MOVABLE;

        Shape key(Shape shape) {
            return this == OPEN ? shape : shape.atFirstFret();
        }

        boolean canBe(Shape shape) {
            return this == OPEN || shape.openStrings() == 0;
        }
    }

    /** Fewer strings are no part of a shape but single notes. */
    private static final int FEWEST_STRINGS = 3;

    private record Row(int rung, Kind kind, Shape shape, Set<String> fingers) {}

    private static final List<Row> ROWS = Table.read(Repertoire.class, "taught-shapes.csv", 4, row -> {
        Kind kind = Kind.valueOf(row.cell(1).toUpperCase(Locale.ROOT));
        return new Row(row.number(0), kind, kind.key(Shape.parse(row.cell(2))), Set.copyOf(row.words(3)));
    });

    private static final List<Repertoire> BY_RUNG =
            Rung.all().stream().map(rung -> new Repertoire(rung.level())).toList();

    /** Shapes of all rungs with strings at their sides left out. */
    private static final Repertoire PARTS = new Repertoire();

    /** Ways to finger the shapes of all rungs. */
    private static final Map<Kind, Map<Shape, Set<String>>> FINGERS = new HashMap<>();

    static {
        for (Row row : ROWS) {
            FINGERS.computeIfAbsent(row.kind(), k -> new HashMap<>()).put(row.shape(), row.fingers());
        }
    }

    private final Map<Kind, Set<Shape>> taught = new HashMap<>();

    private Repertoire(int level) {
        for (Kind kind : Kind.values()) {
            Set<Shape> shapes = new HashSet<>();
            ROWS.stream()
                    .filter(row -> row.kind() == kind && row.rung() <= level)
                    .forEach(row -> shapes.add(row.shape()));
            taught.put(kind, shapes);
        }
    }

    private Repertoire() {
        for (Kind kind : Kind.values()) {
            Set<Shape> parts = new HashSet<>();
            ROWS.stream().filter(row -> row.kind() == kind).forEach(row -> addParts(parts, kind, row.shape()));
            taught.put(kind, parts);
        }
    }

    /** Adds the neighbouring strings of a shape, three at least. */
    private static void addParts(Set<Shape> parts, Kind kind, Shape shape) {
        int[] frets = shape.toArray();
        for (int low = 0; low < frets.length; low++) {
            for (int high = low + FEWEST_STRINGS; high <= frets.length; high++) {
                int[] part = new int[frets.length];
                Arrays.fill(part, Shape.SILENT);
                System.arraycopy(frets, low, part, low, high - low);
                Shape left = Shape.of(part);
                if (left.sounding() >= FEWEST_STRINGS) {
                    parts.add(kind.key(left));
                }
            }
        }
    }

    static Repertoire of(Rung rung) {
        return BY_RUNG.get(rung.level() - 1);
    }

    boolean has(Shape shape) {
        return taught.entrySet().stream()
                .anyMatch(e -> e.getKey().canBe(shape)
                        && e.getValue().contains(e.getKey().key(shape)));
    }

    /** Whether a shape is taught on any rung, as it is or with more strings at its sides. */
    static boolean isTaught(Shape shape) {
        return BY_RUNG.get(BY_RUNG.size() - 1).has(shape) || PARTS.has(shape);
    }

    /** Whether these are fingers the shape is taught with, on any rung. */
    static boolean isTaught(Grip grip) {
        Shape shape = grip.shape();
        for (Kind kind : Kind.values()) {
            Set<String> fingers = kind.canBe(shape) ? FINGERS.get(kind).get(kind.key(shape)) : null;
            if (fingers != null && fingers.contains(grip.fingers())) {
                return true;
            }
        }
        return false;
    }
}
