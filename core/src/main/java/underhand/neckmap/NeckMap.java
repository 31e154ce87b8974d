package underhand.neckmap;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import underhand.chord.ChordSymbol;
import underhand.chord.ChordType;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.pitch.Key;
import underhand.pitch.Note;
import underhand.repertoire.GripFinder;
import underhand.repertoire.RatedGrip;
import underhand.settings.Setting;
import underhand.texture.Forms;
import underhand.texture.Texture;
import underhand.texture.TextureAsk;
import underhand.texture.Wishes;

/**
 * Where chords and scales lie along a neck.
 *
 * @param board the neck above the capo
 */
public record NeckMap(Fretboard board, Player player) {

    /** Highest fret chords are looked for at. */
    private static final int HIGHEST_FRET = 15;

    private static final int OCTAVE = 12;

    /** Fewest strings of a part of a form. */
    private static final int PART = 3;

    /** Qualities of the table of barres, as chord suffixes, the commonest first (common practice). */
    private static final List<String> BARRE_QUALITIES =
            List.of("", "m", "7", "m7", "maj7", "sus4", "7sus4", "sus2", "dim", "aug");

    private static final List<String> BARRE_FORMS = List.of("E", "A");

    /** @param finger 1 to 4, 0 for an open string */
    public record Stop(Dot dot, int finger) {}

    /** @param low the lowest of its three strings, from the lowest as 0; @param inversion which tone is lowest, the root as 0 */
    public record Triad(int low, int inversion, Shape shape) {}

    /**
     * A form of a chord at its place.
     *
     * @param fret where the form's nut lies
     * @param whole all its strings; empty where the form has no shape of this quality
     * @param lower its three lowest strings
     * @param upper its three highest strings
     */
    public record FormPlace(
            String form, int fret, Optional<Shape> whole, Optional<Shape> lower, Optional<Shape> upper) {}

    /**
     * A movable shape with the root on one of the two lowest strings.
     *
     * @param form {@code E} with the root on string 6, {@code A} on string 5
     * @param shape with the barre at the first fret
     */
    public record Barre(String quality, String form, Shape shape) {}

    /** @param name the scale from the chord's root; @param watch notes that are not the key's */
    public record Serving(String name, List<Note> notes, List<Watch> watch) {

        public Serving {
            notes = List.copyOf(notes);
            watch = List.copyOf(watch);
        }
    }

    /** A note that stands for one of the key's. */
    public record Watch(Note plays, Note insteadOf) {}

    /**
     * A chord or a scale on the neck.
     *
     * @param tones from the root
     * @param dots every place of theirs, string by string from the lowest, along the neck
     * @param positions where a hand may stand
     * @param line within the hand's reach where it was asked for, from the lowest, each once
     * @param forms of a chord, in their order along the neck; none of a scale, or where forms have no names
     * @param triads of a chord on each group of three neighbouring strings, the highest group first
     */
    public record Layout(
            String name,
            List<Tones.Tone> tones,
            List<Dot> dots,
            List<Position> positions,
            List<Stop> line,
            List<FormPlace> forms,
            List<Triad> triads) {

        public Layout {
            tones = List.copyOf(tones);
            dots = List.copyOf(dots);
            positions = List.copyOf(positions);
            line = List.copyOf(line);
            forms = List.copyOf(forms);
            triads = List.copyOf(triads);
        }
    }

    /** Every scale that has a name, the plainest first. */
    public static List<String> scales() {
        return Scale.all().stream().map(Scale::name).toList();
    }

    /** @param fret where a line is wanted; none when empty */
    public Layout of(ChordSymbol chord, OptionalInt fret) {
        return layout(chord.glyphs(), Tones.of(chord), fret, forms(chord), triads(chord));
    }

    /**
     * The same for a scale.
     *
     * @throws underhand.input.FormatException when there is no such root, or no scale of this name
     */
    public Layout of(String rootNote, String scale, OptionalInt fret) {
        Note root = Note.parse(rootNote.strip());
        Scale named = Scale.of(scale);
        return layout(root.glyphs() + " " + named.name(), named.on(root), fret, List.of(), List.of());
    }

    private Layout layout(String name, Tones tones, OptionalInt fret, List<FormPlace> forms, List<Triad> triads) {
        List<Stop> line = fret.isPresent() ? line(tones, fret.getAsInt()) : List.of();
        return new Layout(name, tones.all(), dots(tones), positions(tones.root()), line, forms, triads);
    }

    static Dot dot(int string, int fret, int pitch, Tones tones) {
        Tones.Tone tone = tones.at(pitch).orElseThrow();
        return new Dot(
                string,
                fret,
                pitch,
                tone,
                tone.note().pitchClass() == tones.root().pitchClass());
    }

    /** Every place of the tones, string by string from the lowest, along the neck. */
    List<Dot> dots(Tones tones) {
        List<Dot> dots = new ArrayList<>();
        for (int string = 0; string < board.strings(); string++) {
            for (int fret = 0; fret <= board.frets(); fret++) {
                int pitch = board.midi(string, fret);
                if (tones.has(pitch)) {
                    dots.add(dot(string, fret, pitch, tones));
                }
            }
        }
        return dots;
    }

    /** Where a hand stands for a root, along the neck: by the five forms, or by the strings the root is on. */
    List<Position> positions(Note root) {
        List<Position> named = Forms.along(root, board).stream()
                .map(place -> new Position(place.form() + " form at " + place.fret(), place.fret()))
                .toList();
        return named.isEmpty() ? byString(root) : named;
    }

    private List<Position> byString(Note root) {
        List<Position> found = new ArrayList<>();
        for (int string = 0; string < Math.max(2, board.strings() - 2); string++) {
            int fret = Math.floorMod(root.pitchClass() - board.midi(string, 0), OCTAVE);
            if (fret <= board.frets()) {
                found.add(new Position("root on string " + (board.strings() - string) + " at " + fret, fret));
            }
        }
        found.sort(Comparator.comparingInt(Position::fret));
        return found;
    }

    /** The tones within the hand's reach at a fret, from the lowest, each once. */
    List<Stop> line(Tones tones, int fret) {
        return new PositionLine(board, tones).at(fret);
    }

    /** The five forms of a chord in their order along the neck; none where forms have no names. */
    List<FormPlace> forms(ChordSymbol chord) {
        return Forms.along(chord.root(), board).stream()
                .map(place -> {
                    Optional<Shape> whole = Forms.shape(place, chord, board);
                    return new FormPlace(
                            place.form(),
                            place.fret(),
                            whole,
                            whole.map(shape -> part(shape, true)),
                            whole.map(shape -> part(shape, false)));
                })
                .toList();
    }

    private static Shape part(Shape whole, boolean isLower) {
        int[] frets = whole.toArray();
        int kept = 0;
        for (int i = 0; i < frets.length; i++) {
            int string = isLower ? i : frets.length - 1 - i;
            boolean isKept = frets[string] != Shape.SILENT && kept < PART;
            kept += isKept ? 1 : 0;
            frets[string] = isKept ? frets[string] : Shape.SILENT;
        }
        return Shape.of(frets);
    }

    /** A chord's triad on each group of three neighbouring strings, the highest group first. */
    List<Triad> triads(ChordSymbol chord) {
        return new Triads(board, player).of(chord, Math.min(HIGHEST_FRET, board.frets()));
    }

    /** The roots a barre at a fret has on the lowest string and on the one above it, with glyphs. */
    public List<String> barreRoots(int fret) {
        return Stream.of(0, 1)
                .map(string -> Note.inPitchClass(board.midi(string, fret) % OCTAVE, true)
                        .glyphs())
                .toList();
    }

    /** The movable shapes with the root on one of the two lowest strings, by quality; none where forms have no names. */
    public List<Barre> barres() {
        List<Barre> found = new ArrayList<>();
        for (String quality : BARRE_QUALITIES) {
            for (Forms.Place place : Forms.atFirstFret(board)) {
                ChordType type = ChordSymbol.parse("C" + quality).type();
                ChordSymbol chord = new ChordSymbol(place.root(), type, Optional.empty());
                if (BARRE_FORMS.contains(place.form())) {
                    Forms.shape(place, chord, board)
                            .ifPresent(shape -> found.add(new Barre(quality, place.form(), shape)));
                }
            }
        }
        return found;
    }

    /**
     * The scales that serve over a chord in a key, the nearest first.
     *
     * @param key such as {@code G} or {@code F#m}
     * @throws underhand.input.FormatException when that is no key
     */
    public List<Serving> serving(ChordSymbol chord, String key) {
        return ScaleChoice.of(chord, Key.parse(key));
    }

    /** The easiest grip of a chord between two frets, open strings only from the first; empty where there is none. */
    public Optional<RatedGrip> at(ChordSymbol chord, int fromFret, int toFret, Rung rung) {
        Wishes place = new Wishes("", fromFret, toFret, false, Optional.empty());
        GripFinder finder = new GripFinder(board, rung, player, Setting.ALONE, GripFinder.HIGHEST_FRET);
        return finder.in(new TextureAsk(Texture.FREE, place)).pool(chord, 1).cheapest(1).grips().stream()
                .filter(g -> isWithin(g.grip().shape(), fromFret, toFret))
                .findFirst();
    }

    private static boolean isWithin(Shape shape, int fromFret, int toFret) {
        return Stream.iterate(0, s -> s + 1).limit(shape.strings()).allMatch(s -> {
            boolean isOpen = shape.fret(s) == 0;
            return shape.isSilent(s) || (isOpen ? fromFret == 1 : shape.fret(s) >= fromFret && shape.fret(s) <= toFret);
        });
    }
}
