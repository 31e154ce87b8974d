package underhand.repertoire;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import underhand.hand.Rung;
import underhand.neck.Shape;
import underhand.table.Table;

/** The shapes a player already has: those taught up to a rung, {@code first-shapes.csv}. */
final class Repertoire {

    private final Set<Shape> open = new HashSet<>();
    private final Set<Shape> movable = new HashSet<>();

    private record Row(int rung, String kind, List<Shape> shapes) {}

    private static final List<Row> ROWS = Table.read(
            Repertoire.class,
            "first-shapes.csv",
            3,
            row -> new Row(
                    row.number(0),
                    row.cell(1),
                    row.words(2).stream().map(Shape::parse).toList()));

    private static final List<Repertoire> BY_RUNG =
            Rung.all().stream().map(rung -> taughtUpTo(rung.level())).toList();

    private Repertoire() {}

    static Repertoire of(Rung rung) {
        return BY_RUNG.get(rung.level() - 1);
    }

    private static Repertoire taughtUpTo(int level) {
        Repertoire repertoire = new Repertoire();
        for (Row row : ROWS) {
            if (row.rung() <= level) {
                switch (row.kind()) {
                    case "open" -> repertoire.open.addAll(row.shapes());
                    case "movable" -> row.shapes().forEach(s -> repertoire.movable.add(s.atFirstFret()));
                    default -> throw new IllegalStateException("first-shapes.csv: no kind \"" + row.kind() + "\"");
                }
            }
        }
        return repertoire;
    }

    boolean has(Shape shape) {
        return open.contains(shape) || shape.openStrings() == 0 && movable.contains(shape.atFirstFret());
    }
}
