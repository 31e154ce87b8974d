package underhand.desk;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import underhand.chord.ChordSymbol;
import underhand.desk.Desk.Inverted;
import underhand.desk.Desk.Kind;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.repertoire.GripFinder;
import underhand.repertoire.RatedGrip;
import underhand.settings.Setting;
import underhand.texture.Family;
import underhand.texture.Structure;

/** A chord all over the neck: its shapes by family, and those of families that keep to some strings by these. */
final class Kinds {

    /** Grips of a family that are looked at. */
    private static final int LOOKED_AT = 150;

    /** Beside strings that are stopped higher up an open one is no part of a hand's grip there. */
    private static final int NEAR_THE_NUT = 5;

    /** Shapes of a kind that are shown. */
    private static final int SHOWN = 16;

    private static final Set<Family> BY_STRINGS =
            EnumSet.of(Family.TRIAD, Family.DROP_2, Family.DROP_3, Family.GUIDE, Family.TENTH);

    private final Fretboard board;
    private final GripFinder finder;

    Kinds(Fretboard board, Player player) {
        this.board = board;
        this.finder = new GripFinder(
                board, Rung.of(Rung.HIGHEST), player, Setting.ALONE, Math.min(GripFinder.HIGHEST_FRET, board.frets()));
    }

    List<Kind> of(ChordSymbol chord) {
        List<Kind> kinds = new ArrayList<>();
        for (Family family : Family.values()) {
            Map<String, List<Inverted>> byStrings = new TreeMap<>();
            Set<List<Object>> seen = new HashSet<>();
            for (RatedGrip grip : finder.ofFamily(family, chord, LOOKED_AT)) {
                Shape shape = grip.grip().shape();
                if (shape.openStrings() > 0 && shape.highestFret() > NEAR_THE_NUT) {
                    continue;
                }
                Structure structure = new Structure(shape, chord, board, true);
                int inversion = structure.inversion();
                String strings = shape.stringNumbers();
                // Of those of the same form, or with the same strings, place and bass, the easiest stands for all.
                Object place = family == Family.FORM
                        ? structure.form().orElseThrow() + shape.sounding()
                        : shape.lowestFretted().orElse(0);
                if (inversion >= 0 && seen.add(List.of(strings, place, inversion))) {
                    String key = BY_STRINGS.contains(family) ? strings : "";
                    byStrings.computeIfAbsent(key, k -> new ArrayList<>()).add(new Inverted(shape, inversion));
                }
            }
            byStrings.forEach((strings, shapes) -> kinds.add(new Kind(family, strings, shown(shapes))));
        }
        return kinds;
    }

    private static List<Inverted> shown(List<Inverted> shapes) {
        return shapes.stream()
                .limit(SHOWN)
                .sorted(Comparator.comparingInt((Inverted i) -> i.shape().highestFret())
                        .thenComparing((a, b) -> a.shape().compareInSearch(b.shape())))
                .toList();
    }
}
