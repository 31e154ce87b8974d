package underhand.practice;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import underhand.chord.ChordSymbol;
import underhand.move.FingerAct;
import underhand.neck.Fretboard;
import underhand.repertoire.RatedGrip;

/**
 * Something to practise.
 *
 * @param id the same for the same thing in every song
 * @param name what it is about, such as {@code C to Am}
 * @param why what is hard about it, and where it comes from
 * @param caution empty where none is needed
 * @param bar of the song it is taken from
 * @param hardness how much it is worth practising: seconds late weigh most, then effort, then how often it comes
 * @param tempo beats a minute of the song
 * @param holds beats a minute up to which the hand is expected to be in time
 * @param strains how it strains the hand
 * @param grips what changes into what; empty for the right hand and for single notes
 * @param notes played one after another; none but for a tune or a fill
 */
public record Drill(
        String id,
        DrillKind kind,
        String name,
        String why,
        Optional<String> caution,
        int bar,
        double hardness,
        int tempo,
        int holds,
        Set<Strain> strains,
        Optional<Grips> grips,
        List<Note> notes) {

    public Drill {
        strains = Set.copyOf(strains);
        notes = List.copyOf(notes);
    }

    /** A way in which a hand is strained, which is kept within bounds by the day (common practice). */
    public enum Strain {
        BARRE,
        STRETCH
    }

    /** The same change in another drill. */
    Drill as(DrillKind other) {
        String there = other.id() + ":" + DrillId.changeOf(id);
        return new Drill(there, other, name, why, caution, bar, hardness, tempo, holds, strains, grips, notes);
    }

    /**
     * Two grips with their chords as they are called above the capo.
     *
     * @param from empty where one grip is all
     * @param acts what each finger does between them; none where one grip is all
     */
    public record Grips(
            Optional<RatedGrip> from,
            Optional<ChordSymbol> fromChord,
            RatedGrip to,
            ChordSymbol toChord,
            Fretboard board,
            List<FingerAct> acts) {

        public Grips {
            acts = List.copyOf(acts);
        }
    }

    /**
     * A place on the neck.
     *
     * @param string index from the lowest
     * @param fret above the capo
     */
    public record Note(int string, int fret) {}
}
