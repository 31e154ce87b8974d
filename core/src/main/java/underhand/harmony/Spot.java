package underhand.harmony;

import java.util.List;
import java.util.Optional;
import underhand.chart.Chart;
import underhand.chart.TuneNote;
import underhand.chord.ChordSymbol;
import underhand.pitch.Key;

/**
 * A placement as a rule sees it: its chord, its key, its neighbours, and the tune over it.
 *
 * @param key key of its section or song
 * @param before chord played before it, if any
 * @param after chord played after it, if any
 * @param stillFrom beats since the chord began to stand still: 0 where it is new
 * @param stillBeats how long it stands still in all, over all placements that hold it
 * @param barsLeft bars from the start of its bar to the end of its section, itself included
 * @param last whether nothing is played after it
 */
public record Spot(
        Chart.Slot slot,
        ChordSymbol chord,
        Key key,
        Optional<ChordSymbol> before,
        Optional<ChordSymbol> after,
        double stillFrom,
        double stillBeats,
        int barsLeft,
        boolean last) {

    /** The same in another key. */
    Spot inKey(Key other) {
        return new Spot(slot, chord, other, before, after, stillFrom, stillBeats, barsLeft, last);
    }

    /** The same as a part of another spell of standing still. */
    Spot inSpell(double from, double beats) {
        return new Spot(slot, chord, key, before, after, from, beats, barsLeft, last);
    }

    public double beats() {
        return slot.placement().beats();
    }

    List<TuneNote> tune() {
        return slot.placement().tune();
    }

    Quality quality() {
        return Quality.of(chord);
    }

    /** Semitones of the chord's root above the tonic, 0 to 11. */
    int aboveTonic() {
        return Math.floorMod(chord.root().pitchClass() - key.tonic().pitchClass(), 12);
    }

    /** Degree of the root in the scale, 1 to 7; 0 where it is no note of the scale. */
    int degree() {
        return degreeOf(chord.root().pitchClass());
    }

    /** Degree of a pitch class in the scale, 1 to 7; 0 where it is no note of it. */
    int degreeOf(int pitchClass) {
        return key.degreeOf(pitchClass);
    }

    /** Whether a note so many semitones above the root belongs to the key. */
    boolean inKey(int aboveRoot) {
        return degreeOf(Math.floorMod(chord.root().pitchClass() + aboveRoot, 12)) > 0;
    }

    /** Semitones from this chord's root up to the next one's, 0 to 11; -1 where nothing follows. */
    int wayToNext() {
        return after.map(a -> Math.floorMod(a.root().pitchClass() - chord.root().pitchClass(), 12))
                .orElse(-1);
    }

    /** Whether the next chord lies a fifth below, where a dominant leads. */
    boolean leadsOn() {
        return wayToNext() == 5;
    }

    boolean leadsToMinor() {
        return leadsOn()
                && after.map(Quality::of).filter(q -> q == Quality.MINOR).isPresent();
    }

    /** A chord on a root so many semitones above this one's, spelled for the key. */
    ChordSymbol chordAt(int aboveRoot, String suffix) {
        return chordOn(Math.floorMod(chord.root().pitchClass() + aboveRoot, 12), suffix);
    }

    ChordSymbol chordOn(int pitchClass, String suffix) {
        return ChordSymbol.parse(key.spell(Math.floorMod(pitchClass, 12)) + suffix);
    }

    /** A chord on this one's own root. */
    ChordSymbol sameRoot(String suffix) {
        return ChordSymbol.parse(chord.root() + suffix);
    }
}
