package underhand.harmony;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import underhand.chart.Chart;
import underhand.chart.TuneNote;
import underhand.chord.ChordSymbol;
import underhand.pitch.Key;
import underhand.pitch.Mode;
import underhand.pitch.Note;

/**
 * A placement as a rule sees it: its chord, its key, its neighbours, and the tune over it.
 *
 * @param scale scale of its section, in the section's or the song's key
 * @param around the chords around it
 * @param stillFrom beats since the chord began to stand still: 0 where it is new
 * @param stillBeats how long it stands still in all, over all placements that hold it
 * @param barsLeft bars from the start of its bar to the end of its section, itself included
 * @param last whether nothing is played after it
 */
public record Spot(
        Chart.Slot slot,
        ChordSymbol chord,
        ModalScale scale,
        Neighbours around,
        double stillFrom,
        double stillBeats,
        int barsLeft,
        boolean last) {

    /** Fewest beats of a chord that is put in. */
    static final double ROOM = 2;

    /** The same in another scale. */
    Spot inScale(ModalScale other) {
        return new Spot(slot, chord, other, around, stillFrom, stillBeats, barsLeft, last);
    }

    /** The same as a part of another spell of standing still. */
    Spot inSpell(double from, double beats) {
        return new Spot(slot, chord, scale, around, from, beats, barsLeft, last);
    }

    public Key key() {
        return scale.key();
    }

    /** Chord played before it, if any. */
    Optional<ChordSymbol> before() {
        return around.before();
    }

    /** Chord played after it, if any. */
    Optional<ChordSymbol> after() {
        return around.after();
    }

    /** What is played after it, in words. */
    String next() {
        return after().map(ChordSymbol::glyphs).orElse("the end");
    }

    public double beats() {
        return slot.placement().beats();
    }

    /** Whether two chords have room in its time. */
    boolean hasRoom() {
        return beats() >= 2 * ROOM;
    }

    Outcome noRoom() {
        return Outcome.refused(chord.glyphs() + " has no room for two chords: each needs " + (int) ROOM + " beats.");
    }

    List<TuneNote> tune() {
        return slot.placement().tune();
    }

    Quality quality() {
        return Quality.of(chord);
    }

    /** Semitones of the chord's root above the tonic, 0 to 11. */
    int aboveTonic() {
        return Math.floorMod(chord.root().pitchClass() - key().tonic().pitchClass(), 12);
    }

    /** Degree of the root in the scale, 1 to 7; 0 where it is no note of the scale. */
    int degree() {
        return degreeOf(chord.root().pitchClass());
    }

    /** Degree of a pitch class in the scale, 1 to 7; 0 where it is no note of it. */
    int degreeOf(int pitchClass) {
        return key().degreeOf(pitchClass);
    }

    /** Whether a note so many semitones above the root belongs to the scale. */
    boolean inKey(int aboveRoot) {
        return scale.has(Math.floorMod(chord.root().pitchClass() + aboveRoot, 12));
    }

    /** Whether it is a plain major, minor, diminished or augmented chord. */
    boolean isTriad() {
        return chord.type().intervals().size() == 3 && chord.type().has(3);
    }

    /** Whether root, third and fifth belong to the scale. */
    boolean triadInScale() {
        return chord.tones().stream().limit(3).allMatch(t -> scale.has(t.note().pitchClass()));
    }

    /** The first note a chord has beyond this one's that does not belong to the scale; empty where all do. */
    Optional<Note> outside(ChordSymbol other) {
        return outside(other, Set.of());
    }

    /** @param free semitones above the other chord's root that need not belong to it */
    Optional<Note> outside(ChordSymbol other, Set<Integer> free) {
        int root = other.root().pitchClass();
        return added(
                other, n -> !scale.has(n.pitchClass()) && !free.contains(Math.floorMod(n.pitchClass() - root, 12)));
    }

    /**
     * The major seventh a chord adds that the next one, on another root, lowers by a half step out of the scale: G with an
     * F sharp before F. Empty where there is none.
     */
    Optional<Note> contradicted(ChordSymbol other) {
        int seventh = Math.floorMod(other.root().pitchClass() + 11, 12);
        int lowered = Math.floorMod(seventh - 1, 12);
        boolean lowers = after().filter(a -> !a.root().equals(other.root()))
                .filter(a -> Tones.has(a, lowered) && !Tones.has(a, seventh) && !scale.has(lowered))
                .isPresent();
        return added(other, n -> lowers && n.pitchClass() == seventh);
    }

    private Optional<Note> added(ChordSymbol other, Predicate<Note> which) {
        return other.tones().stream()
                .map(ChordSymbol.Tone::note)
                .filter(n -> !Tones.has(chord.withoutBass(), n.pitchClass()))
                .filter(which)
                .findFirst();
    }

    /** Semitones from this chord's root up to the next one's, 0 to 11; -1 where nothing follows. */
    int wayToNext() {
        return after().map(this::wayTo).orElse(-1);
    }

    private int wayTo(ChordSymbol other) {
        return Math.floorMod(other.root().pitchClass() - chord.root().pitchClass(), 12);
    }

    /** Whether the next chord lies a fifth below, where a dominant leads. */
    boolean leadsOn() {
        return wayToNext() == 5;
    }

    boolean leadsToMinor() {
        return leadsOn() && after().filter(a -> Quality.of(a) == Quality.MINOR).isPresent();
    }

    /** The minor chord a fifth below it is bound for, over others of its root and round to the start of a loop. */
    Optional<ChordSymbol> boundForMinor() {
        return around.goal().filter(g -> wayTo(g) == 5 && Quality.of(g) == Quality.MINOR);
    }

    /** Whether it is the dominant of a minor key, wherever it leads next. */
    boolean isMinorDominant() {
        return key().mode() == Mode.MINOR
                && degree() == 5
                && (quality() == Quality.DOMINANT || quality() == Quality.MAJOR);
    }

    /** A chord on a root so many semitones above this one's, spelled for the key. */
    ChordSymbol chordAt(int aboveRoot, String suffix) {
        return chordOn(Math.floorMod(chord.root().pitchClass() + aboveRoot, 12), suffix);
    }

    ChordSymbol chordOn(int pitchClass, String suffix) {
        return ChordSymbol.parse(key().spell(Math.floorMod(pitchClass, 12)) + suffix);
    }

    /** A chord on this one's own root. */
    ChordSymbol sameRoot(String suffix) {
        return ChordSymbol.parse(chord.root() + suffix);
    }
}
