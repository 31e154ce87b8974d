package underhand.solve;

import java.util.List;

/** Solves a song for one capo position: as chords alone, or with the tune on top of them. */
public interface Solver {

    /** The part; the prices of other grips may be missing. */
    SolvedPart sketch();

    /** The part, with the price of every other grip. */
    SolvedPart solve();

    /** What the whole part costs with each of some readings of a placement; infinite where none can. */
    List<Double> totals(List<Song.Forced> readings);
}
