package underhand.server.arrangements;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Locale;
import underhand.arrange.ReadingOffer;
import underhand.harmony.Rules;
import underhand.server.shapes.GripView;

/**
 * What may stand in the place of a chord, the cheapest first, and why the other rules propose nothing.
 *
 * @param function what the chord does in its key, in words; blank where it has none
 */
record ReadingsView(String function, List<OfferView> readings, List<RefusalView> refusals) {

    /** One chord of a reading. */
    record StepView(String chord, double beats) {}

    /**
     * A reading a rule proposes.
     *
     * @param id what a decision names
     * @param name of the rule, in players' words
     * @param family simplify or colour
     * @param rung first rung it suits
     * @param price how much dearer the song becomes; null where no hand can play it
     */
    record OfferView(
            String id,
            String rule,
            String name,
            String family,
            int rung,
            List<StepView> chords,
            String reason,
            @Schema(nullable = true) Double price) {

        static OfferView of(ReadingOffer offer) {
            return new OfferView(
                    offer.reading().rule(),
                    offer.rule().id(),
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

        static RefusalView of(Rules.Refusal refusal) {
            return new RefusalView(
                    refusal.rule().id(),
                    refusal.rule().name(),
                    refusal.why(),
                    refusal.clashing().stream()
                            .map(r -> new ClashView(r.rule(), r.chords()))
                            .toList());
        }
    }
}
