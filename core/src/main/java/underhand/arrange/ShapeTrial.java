package underhand.arrange;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import underhand.chart.Chart;
import underhand.chord.ChordNamer;
import underhand.input.RangeException;
import underhand.neck.Fretboard;
import underhand.repertoire.RatedGrip;
import underhand.settings.ArrangementSettings;
import underhand.settings.Lock;
import underhand.solve.PlacedGrip;

/**
 * A shape of the player's own at a place of a part, before it is taken.
 *
 * @param grip with its fingers and effort; empty when no hand holds it
 * @param price how much dearer the whole song becomes with it there
 * @param names what it is called above the capo, the best name first
 */
public record ShapeTrial(Optional<RatedGrip> grip, double price, List<ChordNamer.Name> names) {

    /**
     * Tries a shape in an arrangement, its capo and its right hand kept.
     *
     * @param index place in the part
     * @throws RangeException when there is no chord at the place, or the shape has not the guitar's strings
     */
    public static ShapeTrial of(
            Arranger arranger, Chart chart, Arrangement arrangement, int index, Lock.OneShape shape) {
        PlacedGrip placed = arrangement.placements().get(index);
        if (placed.segment().chord().isEmpty()) {
            throw new RangeException(
                    "index", "Nothing is played at place " + index + ", so no shape can be tried there.");
        }
        int strings = arrangement.board().strings();
        if (shape.shape().strings() != strings) {
            throw new RangeException(
                    "frets", "The shape has " + shape.shape().strings() + " strings, the guitar " + strings + ".");
        }
        int slot = placed.slot().index();
        int part = placed.segment().part();
        List<Lock> locks = new ArrayList<>(arrangement.settings().locks());
        locks.removeIf(lock -> lock.placement() == slot && lock.part() == part);
        locks.add(new Lock(slot, part, shape));
        ArrangementSettings with = arrangement.settings().withLocks(locks).withCapo(arrangement.capo());
        Arrangement tried = arranger.sweep(chart, with).alone(arrangement.capo());
        Optional<RatedGrip> grip = tried.placements().stream()
                .filter(p -> p.slot().index() == slot && p.segment().part() == part && p.locked())
                .findFirst()
                .flatMap(PlacedGrip::grip);
        return new ShapeTrial(
                grip,
                tried.total() - arrangement.total(),
                ChordNamer.namesOver(shape.shape().pitches(withoutCapo(arrangement)), Optional.empty()));
    }

    private static Fretboard withoutCapo(Arrangement arrangement) {
        return new Fretboard(
                arrangement.settings().guitar(), arrangement.settings().tuning(), 0);
    }
}
