package underhand.server.arrangements;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Locale;
import underhand.arrange.ReadingOffer;
import underhand.harmony.Reach;
import underhand.harmony.RuleCatalogue;
import underhand.server.shapes.GripView;

/**
 * What may stand in the place of a chord, the cheapest first, and why the other rules propose nothing.
 *
 * @param reach how far decisions about it reach
 * @param function what the chord does in its key, in words; blank where it has none
 */
record ReadingsView(String function, ReachView reach, List<OfferView> readings, List<RefusalView> refusals) {

    /**
     * Placements of the chart a decision about this chord may be about, counted from 0.
     *
     * @param alike wherever the same chord of the same length goes to the same chord
     * @param section the same within its section
     * @param still the chord and its neighbours over which it stands still
     */
    record ReachView(List<Integer> alike, List<Integer> section, List<Integer> still) {

        static ReachView of(Reach reach) {
            return new ReachView(reach.alike(), reach.section(), reach.still());
        }
    }

    /** One chord of a reading. */
    record StepView(String chord, double beats) {}

    /**
     * A reading a rule proposes.
     *
     * @param id what a decision names
     * @param variant which of the rule's readings it is; blank where the rule has one
     * @param overStill whether it is taken for as long as the chord stands still
     * @param name of the rule, in players' words
     * @param family simplify or colour
     * @param rung first rung it suits
     * @param price how much dearer the song becomes; null where no hand can play it
     */
    record OfferView(
            String id,
            String rule,
            String variant,
            boolean overStill,
            String name,
            String family,
            int rung,
            List<StepView> chords,
            String reason,
            @Schema(nullable = true) Double price) {

        static OfferView of(ReadingOffer offer) {
            return new OfferView(
                    offer.reading().id().toString(),
                    offer.rule().id(),
                    offer.reading().id().variant(),
                    offer.reading().overStill(),
                    offer.rule().name(),
                    offer.rule().family().name().toLowerCase(Locale.ROOT),
                    offer.rule().lowestRung(),
                    offer.reading().steps().stream()
                            .map(s -> new StepView(s.chord().glyphs(), GripView.round(s.beats())))
                            .toList(),
                    offer.reading().reason(),
                    Double.isInfinite(offer.price()) ? null : GripView.round(offer.price()));
        }
    }

    /** A reading that only the tune speaks against; it can be pinned all the same. */
    record ClashView(String id, String chords) {}

    /** A rule that proposes nothing here, or not all it could, and why. */
    record RefusalView(String rule, String name, String why, List<ClashView> clashing) {

        static RefusalView of(RuleCatalogue.Refusal refusal) {
            return new RefusalView(
                    refusal.rule().id(),
                    refusal.rule().name(),
                    refusal.why(),
                    refusal.clashing().stream()
                            .map(r -> new ClashView(r.id().toString(), r.chords()))
                            .toList());
        }
    }
}
