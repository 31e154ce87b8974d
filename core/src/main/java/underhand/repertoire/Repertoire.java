package underhand.repertoire;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import underhand.hand.Grip;
import underhand.hand.Rung;
import underhand.neck.Guitar;
import underhand.neck.Retuning;
import underhand.neck.Shape;
import underhand.neck.ToneDemand;
import underhand.neck.Tuning;
import underhand.table.Table;

/**
 * The shapes taught in a tuning, the rungs that teach them and the fingers they are taught with: those of the standard tuning in
 * {@code taught-shapes.csv}, as far as its strings are there, and those of tunings of their own in {@code tuned-shapes.csv}.
 */
public final class Repertoire {

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

        Optional<Shape> carried(Shape shape, Retuning retuning, int most) {
            return this == OPEN ? retuning.carry(shape, most) : retuning.carryMovable(shape, most);
        }
    }

    /** Fewer strings are no part of a shape but single notes. */
    private static final int FEWEST_STRINGS = 3;

    /** A shape is still the shape when one of its strings is retuned and its finger goes after it. */
    private static final int MOST_RETUNED = 1;

    /** What teaches a part of a shape: no rung by itself. */
    private static final int AS_A_PART = Rung.HIGHEST + 1;

    private static final int NEVER = AS_A_PART + 1;

    private static final int OCTAVE = 12;

    /** Tunings are anything anybody types: those used last are kept. */
    private static final int KEPT = 32;

    private record Row(int rung, Kind kind, Shape shape, Set<String> fingers) {

        static Row read(Table.Row row, int rung, int kind, int shape, int fingers) {
            Kind where = Kind.valueOf(row.cell(kind).toUpperCase(Locale.ROOT));
            return new Row(
                    row.number(rung), where, where.key(Shape.parse(row.cell(shape))), Set.copyOf(row.words(fingers)));
        }
    }

    private record OwnRow(Tuning tuning, Row row) {}

    private static final List<Row> ROWS =
            Table.read(Repertoire.class, "taught-shapes.csv", 4, row -> Row.read(row, 0, 1, 2, 3));

    private static final List<OwnRow> OWN_ROWS = Table.read(
            Repertoire.class,
            "tuned-shapes.csv",
            6,
            row -> new OwnRow(Tuning.parse(row.cell(0)), Row.read(row, 1, 2, 3, 4)));

    private static final Map<Tuning, Repertoire> OF_TUNINGS = new LinkedHashMap<>(KEPT, 0.75f, true) {

        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Tuning, Repertoire> eldest) {
            return size() > KEPT;
        }
    };

    private final Tuning tuning;
    private final List<Row> rows = new ArrayList<>();

    /** Found when it is asked for. */
    private volatile List<Known> everywhere;

    /** The first rung that teaches each shape, by what it is looked up by. */
    private final Map<Kind, Map<Shape, Integer>> firstRung = new EnumMap<>(Kind.class);

    /** Ways to finger the shapes of all rungs. */
    private final Map<Kind, Map<Shape, Set<String>>> fingers = new EnumMap<>(Kind.class);

    /** The shape of the standard tuning that another was made of by retuning a string. */
    private final Map<Kind, Map<Shape, Shape>> carriedFrom = new EnumMap<>(Kind.class);

    private Repertoire(Tuning tuning) {
        this.tuning = tuning;
        for (Kind kind : Kind.values()) {
            firstRung.put(kind, new HashMap<>());
            fingers.put(kind, new HashMap<>());
            carriedFrom.put(kind, new HashMap<>());
        }
        OWN_ROWS.stream().filter(own -> isAlike(own.tuning(), tuning)).forEach(own -> rows.add(own.row()));
        Retuning retuning = Retuning.of(tuning);
        ROWS.forEach(row -> addCarried(row, retuning));
        for (Row row : rows) {
            fingers.get(row.kind())
                    .computeIfAbsent(row.shape(), s -> new HashSet<>())
                    .addAll(row.fingers());
            firstRung.get(row.kind()).merge(row.shape(), row.rung(), Math::min);
        }
        rows.forEach(row -> addParts(row.kind(), row.shape()));
    }

    /** What is taught in a tuning; {@link #STANDARD} for the usual one. */
    public static Repertoire of(Tuning tuning) {
        synchronized (OF_TUNINGS) {
            return OF_TUNINGS.computeIfAbsent(tuning, Repertoire::new);
        }
    }

    /** Whether two tunings have the same shapes: one is the other with all strings higher or lower. */
    private static boolean isAlike(Tuning one, Tuning other) {
        if (one.size() != other.size()) {
            return false;
        }
        int apart = other.midi(0, 0, 0) - one.midi(0, 0, 0);
        for (int string = 1; string < one.size(); string++) {
            if (other.midi(string, 0, 0) - one.midi(string, 0, 0) != apart) {
                return false;
            }
        }
        return true;
    }

    private void addCarried(Row row, Retuning retuning) {
        Optional<Shape> asIs = row.kind().carried(row.shape(), retuning, 0);
        asIs.ifPresent(shape -> rows.add(new Row(row.rung(), row.kind(), shape, fingersOn(shape, row))));
        if (asIs.isEmpty()) {
            row.kind().carried(row.shape(), retuning, MOST_RETUNED).ifPresent(shape -> {
                rows.add(new Row(Math.min(Rung.HIGHEST, row.rung() + 1), row.kind(), shape, Set.of()));
                carriedFrom.get(row.kind()).put(shape, row.shape());
            });
        }
    }

    /** Fingers are written for six strings; with more or fewer the others are silent. */
    private static Set<String> fingersOn(Shape shape, Row row) {
        return shape.strings() == row.shape().strings() ? row.fingers() : Set.of();
    }

    /** Adds the neighbouring strings of a shape, three at least. */
    private void addParts(Kind kind, Shape shape) {
        int[] frets = shape.toArray();
        for (int low = 0; low < frets.length; low++) {
            for (int high = low + FEWEST_STRINGS; high <= frets.length; high++) {
                int[] part = new int[frets.length];
                Arrays.fill(part, Shape.SILENT);
                System.arraycopy(frets, low, part, low, high - low);
                Shape left = Shape.of(part);
                if (left.sounding() >= FEWEST_STRINGS) {
                    firstRung.get(kind).putIfAbsent(kind.key(left), AS_A_PART);
                }
            }
        }
    }

    /** The shapes that are taught as they stand. */
    List<Shape> open() {
        return ofKind(Kind.OPEN);
    }

    /** The shapes that are taught to be moved, each at the first fret. */
    List<Shape> movable() {
        return ofKind(Kind.MOVABLE);
    }

    /** A shape where it lies on the neck, with the pitch classes it sounds there without a capo, a bit each. */
    private record Known(Shape shape, int tones) {}

    /**
     * The shapes that are taught on any rung, or are a part of one, wherever they lie on the neck, that sound some tones.
     *
     * @param demand what they may and must sound
     * @param capo fret above which they lie
     */
    List<Shape> sounding(ToneDemand demand, int capo) {
        // A bass that is written need be no tone of the chord.
        int bass = demand.lowest() < 0 ? 0 : 1 << demand.lowest();
        int allowed = turned(demand.allowed() | bass, -capo);
        int required = turned(demand.required(), -capo);
        List<Shape> shapes = new ArrayList<>();
        for (Known known : everywhere()) {
            if ((known.tones() & ~allowed) == 0 && (required & ~known.tones()) == 0) {
                shapes.add(known.shape());
            }
        }
        return shapes;
    }

    private List<Known> everywhere() {
        List<Known> known = everywhere;
        if (known == null) {
            Set<Shape> shapes = new LinkedHashSet<>(firstRung.get(Kind.OPEN).keySet());
            for (Shape movable : firstRung.get(Kind.MOVABLE).keySet()) {
                for (int by = 0; by < Guitar.MOST_FRETS; by++) {
                    movable.moved(by).ifPresent(shapes::add);
                }
            }
            known = shapes.stream().map(shape -> new Known(shape, tones(shape))).toList();
            everywhere = known;
        }
        return known;
    }

    private int tones(Shape shape) {
        int tones = 0;
        for (int string = 0; string < shape.strings(); string++) {
            tones |= shape.isSilent(string) ? 0 : 1 << tuning.midi(string, shape.fret(string), 0) % OCTAVE;
        }
        return tones;
    }

    /** Pitch classes so many semitones higher. */
    private static int turned(int tones, int by) {
        int up = Math.floorMod(by, OCTAVE);
        return (tones << up | tones >> OCTAVE - up) & (1 << OCTAVE) - 1;
    }

    private List<Shape> ofKind(Kind kind) {
        return rows.stream().filter(r -> r.kind() == kind).map(Row::shape).toList();
    }

    /** Whether a shape is taught up to a rung. */
    boolean isTaughtTo(Rung rung, Shape shape) {
        return firstRung(shape) <= rung.level();
    }

    /** Whether a shape is taught on any rung, as it is or with more strings at its sides. */
    boolean isTaught(Shape shape) {
        return firstRung(shape) <= AS_A_PART;
    }

    private int firstRung(Shape shape) {
        int open = firstRung.get(Kind.OPEN).getOrDefault(shape, NEVER);
        return Kind.MOVABLE.canBe(shape)
                ? Math.min(open, firstRung.get(Kind.MOVABLE).getOrDefault(Kind.MOVABLE.key(shape), NEVER))
                : open;
    }

    /** Whether these are fingers the shape is taught with, on any rung. */
    public boolean isTaught(Grip grip) {
        Shape shape = grip.shape();
        for (Kind kind : Kind.values()) {
            Set<String> taught = kind.canBe(shape) ? fingers.get(kind).get(kind.key(shape)) : null;
            if (taught != null && taught.contains(grip.fingers())) {
                return true;
            }
        }
        return false;
    }

    /** The shape of the standard tuning that this one is with one finger gone after its retuned string, where it stands. */
    Optional<Shape> carriedFrom(Shape shape) {
        for (Kind kind : Kind.values()) {
            Shape from = kind.canBe(shape) ? carriedFrom.get(kind).get(kind.key(shape)) : null;
            if (from != null) {
                return Optional.of(from);
            }
        }
        return Optional.empty();
    }
}
