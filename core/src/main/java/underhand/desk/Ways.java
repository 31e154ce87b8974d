package underhand.desk;

import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import underhand.chord.ChordSymbol;
import underhand.desk.Desk.Way;
import underhand.hand.Parameters;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.move.Change;
import underhand.move.ChangeModel;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.repertoire.GripFinder;
import underhand.repertoire.RatedGrip;
import underhand.settings.Setting;

/** The ways from a shape to a chord that move the hand least. */
final class Ways {

    /** Grips of the chord that are looked at, the easiest. */
    private static final int GRIPS = 120;

    /** How much of a grip's own effort counts beside the change to it (memory). */
    private static final double OF_GRIP = 0.3;

    private final ShapeGrips grips;
    private final GripFinder finder;
    private final ChangeModel model;

    /** @param rung whose grips are looked at */
    Ways(Fretboard board, Player player, Rung rung, Setting setting) {
        this.grips = new ShapeGrips(board, player);
        this.finder = new GripFinder(board, rung, player, setting, GripFinder.HIGHEST_FRET);
        this.model = new ChangeModel(board, rung, player, Parameters.STANDARD);
    }

    /** One way to each shape of the chord, in its easiest fingering, the least first. */
    List<Way> to(ChordSymbol chord, Shape shape, int most) {
        Optional<RatedGrip> held = grips.of(shape).stream().findFirst();
        Set<Shape> seen = new HashSet<>(Set.of(shape));
        return finder.pool(chord, 1).cheapest(GRIPS).grips().stream()
                .filter(g -> seen.add(g.grip().shape()))
                .flatMap(to -> held.map(from -> way(from, to)).stream())
                .sorted(Comparator.comparingDouble(Way::effort))
                .limit(most)
                .toList();
    }

    /** The change from one shape to another, each in its easiest fingering; empty where no hand holds one of them. */
    Optional<Way> between(Shape from, Shape to) {
        Optional<RatedGrip> first = grips.of(from).stream().findFirst();
        Optional<RatedGrip> second = grips.of(to).stream().findFirst();
        return first.flatMap(f -> second.map(s -> way(f, s)));
    }

    private Way way(RatedGrip from, RatedGrip to) {
        Change change = model.between(from.grip(), to.grip());
        return new Way(from, to, change, change.effort() + OF_GRIP * to.effort().total());
    }
}
