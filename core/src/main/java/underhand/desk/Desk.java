package underhand.desk;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import underhand.chord.ChordNamer;
import underhand.chord.ChordSymbol;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.move.Change;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.pitch.Interval;
import underhand.pitch.Key;
import underhand.pitch.Note;
import underhand.repertoire.GripFinder;
import underhand.repertoire.RatedGrip;
import underhand.settings.Setting;
import underhand.texture.Family;

/**
 * A neck with a hand on it.
 *
 * @param board the neck above the capo
 */
public record Desk(Fretboard board, Player player) {

    /**
     * A shape that is a finger or two away from another.
     *
     * @param names what it is called, the best name first; at least one
     * @param moved the strings that sound otherwise, the lowest first
     * @param kept strings that sound as before
     * @param inKey whether all of it is in the key asked for
     */
    public record Neighbour(Shape shape, List<ChordNamer.Name> names, List<Moved> moved, int kept, boolean inKey) {

        public Neighbour {
            names = List.copyOf(names);
            moved = List.copyOf(moved);
        }
    }

    /** A string with its fret before and after, {@link Shape#SILENT} for silence. */
    public record Moved(int string, int from, int to) {}

    /**
     * A way from a shape to a chord.
     *
     * @param from how the shape is held
     * @param to a grip of the chord
     * @param effort of the change and, in part, of the grip reached
     */
    public record Way(RatedGrip from, RatedGrip to, Change change, double effort) {}

    /**
     * Shapes of a chord that are built alike.
     *
     * @param strings the numbers of the strings they sound on, from the highest as 1; blank for families on any strings
     * @param shapes those nearest the nut first
     */
    public record Kind(Family family, String strings, List<Inverted> shapes) {
        public Kind {
            shapes = List.copyOf(shapes);
        }
    }

    /** @param inversion which tone of the chord is lowest, the root as 0 */
    public record Inverted(Shape shape, int inversion) {}

    /**
     * A name of a shape over a bass that somebody else plays.
     *
     * @param bass the note, spelled for the name
     */
    public record OverBass(String bass, String symbol) {}

    /** Every way to finger a shape: with the fingers players are taught first, then the easiest. */
    public List<RatedGrip> grips(Shape shape) {
        return new ShapeGrips(board, player).of(shape);
    }

    /** What a shape is called, the best name first. */
    public List<ChordNamer.Name> names(Shape shape) {
        return ChordNamer.names(shape.pitches(board), Optional.empty());
    }

    /**
     * What each string is in a name, such as {@code ♭3}, from the lowest; blank where it is silent or no part of it.
     */
    public List<String> degrees(Shape shape, ChordSymbol name) {
        return IntStream.range(0, shape.strings())
                .mapToObj(string -> shape.isSilent(string) ? "" : degree(board.midi(string, shape.fret(string)), name))
                .toList();
    }

    private static String degree(int midi, ChordSymbol name) {
        int above = Math.floorMod(midi - name.root().pitchClass(), 12);
        return Stream.concat(name.type().intervals().stream(), name.type().optional().stream())
                .filter(i -> i.pitchClass() == above)
                .findFirst()
                .map(Interval::degree)
                .orElse("");
    }

    /** The best name of a shape over each of the twelve basses, from C up; none where nothing sounds. */
    public List<OverBass> overEachBass(Shape shape) {
        if (shape.sounding() == 0) {
            return List.of();
        }
        return IntStream.range(0, 12)
                .mapToObj(pc -> Note.inPitchClass(pc, true))
                .flatMap(bass -> ChordNamer.names(shape.pitches(board), Optional.of(bass)).stream()
                        .limit(1)
                        .map(n -> new OverBass(n.bass().glyphs(), n.symbol().glyphs())))
                .toList();
    }

    /**
     * The chords one or two fingers away, those in a key first.
     *
     * @param key such as {@code G} or {@code Am}
     * @param fingers 1, or 2 for those that one finger does not reach
     */
    public List<Neighbour> near(Shape shape, Optional<String> key, int fingers) {
        Neighbours neighbours = new Neighbours(board, player, key.map(Key::parse), GripFinder.HIGHEST_FRET);
        return fingers == 1 ? neighbours.of(shape) : neighbours.twoAway(shape);
    }

    /** Other shapes with the same pitches. */
    public List<Shape> sameNotes(Shape shape) {
        return new Elsewhere(board, player).sameNotes(shape);
    }

    /** The same grip at the other frets, and on the strings beside it. */
    public List<Shape> sameGrip(Shape shape) {
        Elsewhere elsewhere = new Elsewhere(board, player);
        return Stream.concat(elsewhere.moved(shape).stream(), elsewhere.onNeighbouringStrings(shape).stream())
                .toList();
    }

    /** A chord all over the neck, by how its shapes are built, where they sound and what is lowest; the easiest of each. */
    public List<Kind> kinds(ChordSymbol chord) {
        return new Kinds(board, player).of(chord);
    }

    /** The change from one shape to another by a rung's hand; empty where the player's hand does not hold one of them. */
    public Optional<Way> change(Shape from, Shape to, Rung rung) {
        return new Ways(board, player, rung, Setting.ALONE).between(from, to);
    }

    /** The least ways from a shape to a chord, by the grips of a rung. */
    public List<Way> ways(Shape shape, ChordSymbol chord, Rung rung, int most) {
        return new Ways(board, player, rung, Setting.ALONE).to(chord, shape, most);
    }
}
