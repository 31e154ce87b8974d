package underhand.repertoire;

import java.util.List;

/**
 * Grips a chord may be played with, the cheapest first. Only the same object is the same: what was worked out of some is found
 * by them at once.
 */
public final class Candidates {

    private final List<RatedGrip> grips;
    private final double[] efforts;

    public Candidates(List<RatedGrip> grips) {
        this.grips = List.copyOf(grips);
        this.efforts = this.grips.stream().mapToDouble(g -> g.effort().total()).toArray();
    }

    public List<RatedGrip> grips() {
        return grips;
    }

    public int size() {
        return efforts.length;
    }

    /** What a grip costs by itself. */
    public double effort(int grip) {
        return efforts[grip];
    }

    @Override
    public String toString() {
        return grips.toString();
    }
}
