package underhand.server.players;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Optional;
import underhand.hand.FingerSpreads;
import underhand.hand.Player;
import underhand.hand.Rung;

/**
 * Limits of a hand that differ from an adult's defaults; distances in mm. What is missing keeps its default.
 *
 * @param comfortableMm between fingers 1 and 4; the other pairs in proportion, unless they are in {@code pairs}
 * @param shapes shapes the player has on top of those taught up to the rung
 * @param leftHanded whether grips are drawn the other way round in files; they are the same
 * @param practice how the player practises; it changes no part
 */
public record PlayerRequest(
        String name,
        Double comfortableMm,
        Double widestMm,
        List<PairReach> pairs,
        Boolean thumb,
        Double changeFactor,
        List<String> shapes,
        Boolean leftHanded,
        HouseRulesRequest houseRules,
        @Schema(nullable = true) PracticeLimits practice) {

    private static final String UNNAMED = "A hand";

    PlayerLimits toLimits() {
        double comfortable =
                Optional.ofNullable(comfortableMm).orElseGet(() -> FingerSpreads.ADULT.comfortableMm(1, 4));
        double widest = Optional.ofNullable(widestMm)
                .orElseGet(() -> Math.max(comfortable, FingerSpreads.ADULT.widestMm(1, 4)));
        return new PlayerLimits(
                Optional.ofNullable(name).orElse(UNNAMED),
                Rung.LOWEST,
                comfortable,
                widest,
                pairs,
                Boolean.TRUE.equals(thumb),
                Optional.ofNullable(changeFactor).orElse(Player.ADULT.changeFactor()),
                shapes,
                Boolean.TRUE.equals(leftHanded),
                houseRules,
                practice);
    }
}
