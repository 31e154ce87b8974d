package underhand.fill;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import underhand.arrange.Arrangement;
import underhand.solve.PlacedGrip;

/**
 * Varies what is repeated: a fill at the end of every fourth bar of a section that comes again, never one that the rung does
 * not have or that is late, and never the same twice in a row where another fits.
 */
public final class Variation {

    private static final int EVERY = 4;

    private Variation() {}

    /** Fills for the places of a part that repeat earlier ones; none where nothing is repeated or nothing fits. */
    public static List<Fill> of(Arrangement arrangement) {
        Fills fills = new Fills(arrangement);
        List<Fill> chosen = new ArrayList<>();
        List<PlacedGrip> places = arrangement.placements();
        String before = "";
        for (int i = 0; i < places.size(); i++) {
            PlacedGrip place = places.get(i);
            boolean repeated = place.slot().written() != place.slot().index();
            boolean lastInBar = i + 1 == places.size()
                    || places.get(i + 1).slot().bar() != place.slot().bar();
            if (repeated && lastInBar && place.slot().barInSection() % EVERY == 0) {
                Optional<Fill> fill = another(fills.at(i).fills(), before);
                if (fill.isPresent()) {
                    chosen.add(fill.get());
                    before = fill.get().id();
                }
            }
        }
        return chosen;
    }

    private static Optional<Fill> another(List<Fill> offered, String before) {
        List<Fill> inTime = offered.stream().filter(Fill::isInTime).toList();
        return inTime.stream()
                .filter(f -> !f.id().equals(before))
                .findFirst()
                .or(() -> inTime.stream().findFirst());
    }
}
