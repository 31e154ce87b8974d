package underhand.solve;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import underhand.chart.Chart;
import underhand.harmony.Bond;
import underhand.harmony.Reading;
import underhand.neck.Shape;
import underhand.repertoire.WantedChord;

/**
 * The shapes with which readings can be played whose grips are bound to each other: a line has few of them, however many its
 * chords have. No shape is left out that belongs to a reading played as it is called.
 */
final class BoundShapes {

    /** Where a bond leads from a chord, or comes from. */
    private record Way(WantedChord other, Bond bond, int by) {}

    /**
     * What a chord is bound to at one place.
     *
     * @param ins empty where something else may come before
     * @param outs empty where something else may follow
     */
    private record Place(WantedChord chord, Optional<Set<Way>> ins, Optional<Set<Way>> outs) {

        boolean isFree() {
            return ins.isEmpty() && outs.isEmpty();
        }
    }

    /** A fret takes so many bits, and the number of a string stands above nine of them. */
    private static final int BITS = 6;

    private static final long MASK = (1L << BITS) - 1;
    private static final int WHICH = 9 * BITS;

    /** Shapes as numbers, by chord, as long as they are not narrowed. */
    private final Map<WantedChord, Set<Long>> indexes = new HashMap<>();

    private final Set<Place> places = new LinkedHashSet<>();
    private final Map<WantedChord, Set<Shape>> shapes = new LinkedHashMap<>();

    private BoundShapes() {}

    /**
     * Shapes by chord, for chords that are bound wherever they stand.
     *
     * @param wanted what is searched for at a step of a placement
     * @param all every shape of a chord
     */
    static Map<WantedChord, Set<Shape>> of(
            Song song,
            BiFunction<Chart.Slot, Reading.Step, WantedChord> wanted,
            Function<WantedChord, Set<Shape>> all) {
        boolean isBound = song.placements().stream()
                .flatMap(slot -> song.readings(slot).stream())
                .anyMatch(Reading::isBound);
        if (!isBound) {
            return Map.of();
        }
        BoundShapes bound = new BoundShapes();
        bound.collect(song, wanted);
        Set<WantedChord> free =
                bound.places.stream().filter(Place::isFree).map(Place::chord).collect(Collectors.toSet());
        Map<WantedChord, List<Place>> byChord = new LinkedHashMap<>();
        bound.places.stream()
                .filter(p -> !free.contains(p.chord()))
                .forEach(p -> byChord.computeIfAbsent(p.chord(), c -> new ArrayList<>())
                        .add(p));
        bound.places.forEach(p -> {
            p.ins().orElse(Set.of()).forEach(w -> bound.shapes.computeIfAbsent(w.other(), all));
            p.outs().orElse(Set.of()).forEach(w -> bound.shapes.computeIfAbsent(w.other(), all));
        });
        byChord.keySet().forEach(chord -> bound.shapes.computeIfAbsent(chord, all));
        bound.narrow(byChord);
        Map<WantedChord, Set<Shape>> narrowed = new HashMap<>(bound.shapes);
        narrowed.keySet().retainAll(byChord.keySet());
        return narrowed;
    }

    /** No shapes for what slides: on many strings the search for them finds no end. */
    static Map<WantedChord, Set<Shape>> withoutSlides(
            Song song, BiFunction<Chart.Slot, Reading.Step, WantedChord> wanted) {
        Map<WantedChord, Set<Shape>> none = new HashMap<>();
        for (Chart.Slot slot : song.placements()) {
            song.readings(slot).stream()
                    .flatMap(r -> r.steps().stream())
                    .filter(s -> s.bond() == Bond.SLIDE)
                    .forEach(s -> none.put(wanted.apply(slot, s), Set.of()));
        }
        return none;
    }

    /** One chord of a reading with the slot it is in. */
    private record Step(Chart.Slot slot, Reading reading, int part) {

        Reading.Step step() {
            return reading.steps().get(part);
        }

        boolean isLast() {
            return part == reading.steps().size() - 1;
        }
    }

    private void collect(Song song, BiFunction<Chart.Slot, Reading.Step, WantedChord> wanted) {
        Map<Step, Set<Way>> ins = new HashMap<>();
        Set<Step> reachedFreely = new HashSet<>();
        Map<Step, Optional<Set<Way>>> outs = new LinkedHashMap<>();
        for (Step here : steps(song)) {
            List<Step> next = next(here, song);
            Set<Way> ways = new LinkedHashSet<>();
            boolean isFree = next.isEmpty();
            for (Step to : next) {
                Bond bond = Bonds.between(
                        here.step().bond(), here.reading().id(), to.reading().id());
                int by = Bonds.slide(here.step().chord(), to.step().chord());
                if (bond == Bond.FREE) {
                    isFree = true;
                    reachedFreely.add(to);
                } else {
                    ways.add(new Way(wanted.apply(to.slot(), to.step()), bond, by));
                    ins.computeIfAbsent(to, s -> new LinkedHashSet<>())
                            .add(new Way(wanted.apply(here.slot(), here.step()), bond, -by));
                }
            }
            outs.put(here, isFree ? Optional.empty() : Optional.of(ways));
        }
        outs.forEach((step, ways) -> places.add(new Place(
                wanted.apply(step.slot(), step.step()),
                reachedFreely.contains(step) ? Optional.empty() : Optional.ofNullable(ins.get(step)),
                ways)));
    }

    private static List<Step> steps(Song song) {
        return song.placements().stream()
                .flatMap(slot -> song.readings(slot).stream()
                        .flatMap(reading -> IntStream.range(0, reading.steps().size())
                                .mapToObj(part -> new Step(slot, reading, part))))
                .toList();
    }

    /** What may come after a step: the rest of its reading, or any reading of the next placement. */
    private static List<Step> next(Step here, Song song) {
        if (!here.isLast()) {
            return List.of(new Step(here.slot(), here.reading(), here.part() + 1));
        }
        int after = here.slot().index() + 1;
        return song.placements().stream()
                .skip(after)
                .limit(1)
                .flatMap(slot -> song.readings(slot).stream().map(reading -> new Step(slot, reading, 0)))
                .toList();
    }

    /** Leaves out shapes without a neighbour, from the end and from the start, until all that are left have theirs. */
    private void narrow(Map<WantedChord, List<Place>> byChord) {
        List<WantedChord> order = new ArrayList<>(byChord.keySet());
        boolean isChanged = true;
        while (isChanged) {
            isChanged = false;
            Collections.reverse(order);
            for (WantedChord chord : order) {
                Set<Shape> kept = shapes.get(chord).stream()
                        .filter(shape -> byChord.get(chord).stream().anyMatch(p -> fits(shape, p)))
                        .collect(Collectors.toSet());
                if (kept.size() < shapes.get(chord).size()) {
                    shapes.put(chord, kept);
                    indexes.remove(chord);
                    isChanged = true;
                }
            }
        }
    }

    private boolean fits(Shape shape, Place place) {
        return place.outs().map(ways -> meetsAny(shape, ways)).orElse(true)
                && place.ins().map(ways -> meetsAny(shape, ways)).orElse(true);
    }

    private boolean meetsAny(Shape shape, Set<Way> ways) {
        long code = code(shape, 0);
        return ways.stream().anyMatch(way -> {
            Set<Long> there = indexes.computeIfAbsent(way.other(), this::index);
            return way.bond() == Bond.ONE_VOICE
                    ? IntStream.range(0, shape.strings()).anyMatch(string -> there.contains(butOne(code, string)))
                    : there.contains(code(shape, way.by()));
        });
    }

    /** The shapes of a chord as numbers, whole and with each string left open to be anything. */
    private Set<Long> index(WantedChord chord) {
        Set<Long> index = new HashSet<>();
        for (Shape shape : shapes.get(chord)) {
            long code = code(shape, 0);
            index.add(code);
            for (int string = 0; string < shape.strings(); string++) {
                index.add(butOne(code, string));
            }
        }
        return index;
    }

    /** A number for a shape moved by some frets; one that no shape has where it has an open string or leaves the neck. */
    private static long code(Shape shape, int by) {
        long code = 0;
        for (int string = 0; string < shape.strings(); string++) {
            int fret = shape.fret(string);
            if (by != 0 && (fret == 0 || shape.isFretted(string) && fret + by < 1)) {
                return -1;
            }
            code = code << BITS | (shape.isFretted(string) ? fret + by : fret) + 1;
        }
        return code;
    }

    /** The number without one string, and which that is. */
    private static long butOne(long code, int string) {
        return code & ~(MASK << BITS * string) | (string + 1L) << WHICH;
    }
}
