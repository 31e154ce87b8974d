package underhand.server.players;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.stream.Collectors;
import underhand.hand.FingerSpreads;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.neck.Shape;
import underhand.server.platform.InputException;

/**
 * What a player's hand can do.
 *
 * @param rung level the player is on
 * @param comfortableMm how far fingers 1 and 4 reach apart at ease, in mm
 * @param widestMm how far at most; never raised by the application itself
 * @param thumb whether the thumb may stop the lowest string
 * @param pairs pairs of fingers measured by themselves; the others are in proportion to 1 and 4
 * @param changeFactor how much longer (above 1) or shorter a change takes than the rung's default
 * @param shapes shapes the player has on top of those taught up to the rung
 * @param leftHanded whether necks and grips are drawn the other way round
 * @param practice how the player practises; no limits of one's own when missing
 * @param houseRules the player's stand where good players disagree
 */
public record PlayerLimits(
        String name,
        int rung,
        double comfortableMm,
        double widestMm,
        List<PairReach> pairs,
        boolean thumb,
        double changeFactor,
        List<String> shapes,
        boolean leftHanded,
        HouseRulesRequest houseRules,
        @Schema(nullable = true) PracticeLimits practice) {

    private static final int LONGEST_NAME = 80;
    private static final int MOST_SHAPES = 2000;

    public PlayerLimits {
        pairs = pairs == null ? List.of() : List.copyOf(pairs);
        shapes = shapes == null ? List.of() : List.copyOf(shapes);
        houseRules = houseRules == null ? HouseRulesRequest.NONE : houseRules;
        practice = practice == null ? PracticeLimits.NONE : practice;
    }

    /** A hand with nothing said but its reach. */
    public static PlayerLimits of(String name, int rung, double comfortableMm, double widestMm, double changeFactor) {
        return new PlayerLimits(
                name,
                rung,
                comfortableMm,
                widestMm,
                List.of(),
                false,
                changeFactor,
                List.of(),
                false,
                HouseRulesRequest.NONE,
                PracticeLimits.NONE);
    }

    /** @throws RuntimeException naming the field that is out of range */
    void check() {
        if (name == null || name.isBlank() || name.length() > LONGEST_NAME) {
            throw InputException.field("name", "A player needs a name of 1 to " + LONGEST_NAME + " characters.");
        }
        Rung.of(rung);
        if (shapes.size() > MOST_SHAPES) {
            throw InputException.field("shapes", "A player keeps at most " + MOST_SHAPES + " shapes.");
        }
        houseRules.toRules();
        practice.check();
        toPlayer();
    }

    Player toPlayer() {
        return new Player(
                PairReach.into(FingerSpreads.ADULT.scaledTo(comfortableMm, widestMm), pairs),
                thumb,
                changeFactor,
                shapes.stream().map(Shape::parse).collect(Collectors.toSet()));
    }
}
