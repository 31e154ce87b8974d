package underhand.repertoire;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
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

    /** What teaches a part of a shape: no rung by itself. */
    private static final int AS_A_PART = Rung.HIGHEST + 1;

    private static final int NEVER = AS_A_PART + 1;

    /** The first rung that teaches each shape, by what it is looked up by. */
    private static final Map<Kind, Map<Shape, Integer>> FIRST_RUNG = new EnumMap<>(Kind.class);

    /** Ways to finger the shapes of all rungs. */
    private static final Map<Kind, Map<Shape, Set<String>>> FINGERS = new EnumMap<>(Kind.class);

    static {
        for (Kind kind : Kind.values()) {
            FIRST_RUNG.put(kind, new HashMap<>());
            FINGERS.put(kind, new HashMap<>());
        }
        for (Row row : ROWS) {
            FINGERS.get(row.kind()).put(row.shape(), row.fingers());
            FIRST_RUNG.get(row.kind()).merge(row.shape(), row.rung(), Math::min);
        }
        ROWS.forEach(row -> addParts(row.kind(), row.shape()));
    }

    private Repertoire() {}

    /** Adds the neighbouring strings of a shape, three at least. */
    private static void addParts(Kind kind, Shape shape) {
        int[] frets = shape.toArray();
        for (int low = 0; low < frets.length; low++) {
            for (int high = low + FEWEST_STRINGS; high <= frets.length; high++) {
                int[] part = new int[frets.length];
                Arrays.fill(part, Shape.SILENT);
                System.arraycopy(frets, low, part, low, high - low);
                Shape left = Shape.of(part);
                if (left.sounding() >= FEWEST_STRINGS) {
                    FIRST_RUNG.get(kind).putIfAbsent(kind.key(left), AS_A_PART);
                }
            }
        }
    }

    /** The shapes that are taught as they stand. */
    static List<Shape> open() {
        return ofKind(Kind.OPEN);
    }

    /** The shapes that are taught to be moved, each at the first fret. */
    static List<Shape> movable() {
        return ofKind(Kind.MOVABLE);
    }

    private static List<Shape> ofKind(Kind kind) {
        return ROWS.stream().filter(r -> r.kind() == kind).map(Row::shape).toList();
    }

    /** Whether a shape is taught up to a rung. */
    static boolean isTaughtTo(Rung rung, Shape shape) {
        return firstRung(shape) <= rung.level();
    }

    /** Whether a shape is taught on any rung, as it is or with more strings at its sides. */
    static boolean isTaught(Shape shape) {
        return firstRung(shape) <= AS_A_PART;
    }

    private static int firstRung(Shape shape) {
        int open = FIRST_RUNG.get(Kind.OPEN).getOrDefault(shape, NEVER);
        return Kind.MOVABLE.canBe(shape)
                ? Math.min(open, FIRST_RUNG.get(Kind.MOVABLE).getOrDefault(Kind.MOVABLE.key(shape), NEVER))
                : open;
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
