package underhand.practice;

import java.util.Optional;
import underhand.chord.ChordSymbol;
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
 * @param barres whether it strains the hand with barres
 * @param grips what changes into what; empty for the right hand alone
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
        boolean barres,
        Optional<Grips> grips) {

    /** Two grips with their chords as they are called above the capo. */
    public record Grips(RatedGrip from, ChordSymbol fromChord, RatedGrip to, ChordSymbol toChord, Fretboard board) {}
}
