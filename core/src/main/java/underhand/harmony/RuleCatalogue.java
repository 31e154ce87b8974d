package underhand.harmony;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import underhand.chart.TuneNote;
import underhand.chord.ChordSymbol;
import underhand.pitch.Note;

/** The catalogue of rules, and their judgement of a placement with the tune heard. */
public final class RuleCatalogue {

    /** All rules, simplifying ones first. */
    public static final List<Rule> ALL = Stream.of(
                    SimplifyRules.ALL, ColourRules.ALL, DominantRules.ALL, TimeRules.ALL, LineRules.ALL, SlideRules.ALL)
            .flatMap(List::stream)
            .toList();

    /**
     * What all rules say to a placement.
     *
     * @param readings what may stand in the chord's place, in the order of the catalogue
     * @param refusals why the other rules propose nothing
     */
    public record Judgement(List<Reading> readings, List<Refusal> refusals) {

        public Optional<Reading> reading(ReadingId id) {
            return readings.stream().filter(r -> r.id().equals(id)).findFirst();
        }

        /** A reading that is proposed, or that clashes with the tune and is insisted on. */
        public Optional<Reading> insisted(ReadingId id) {
            return reading(id)
                    .or(() -> refusals.stream()
                            .flatMap(r -> r.clashing().stream())
                            .filter(r -> r.id().equals(id))
                            .findFirst());
        }
    }

    /**
     * Why a rule proposes nothing, or not all it could.
     *
     * @param clashing readings that only the tune speaks against
     */
    public record Refusal(Rule rule, String why, List<Reading> clashing) {}

    private RuleCatalogue() {}

    /** @throws IllegalArgumentException when there is no such rule */
    public static Rule of(String id) {
        return ALL.stream()
                .filter(rule -> rule.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("there is no rule \"" + id + "\""));
    }

    public static Judgement judge(Spot spot, Preferences preferences) {
        List<Reading> readings = new ArrayList<>();
        List<Refusal> refusals = new ArrayList<>();
        for (Rule rule : ALL) {
            Outcome outcome = judge(rule, spot, preferences);
            readings.addAll(outcome.readings());
            if (!outcome.refusal().isEmpty()) {
                refusals.add(new Refusal(rule, outcome.refusal(), outcome.clashing()));
            }
        }
        return new Judgement(List.copyOf(readings), List.copyOf(refusals));
    }

    /** One rule's outcome; what clashes with the tune is refused. */
    static Outcome judge(Rule rule, Spot spot, Preferences preferences) {
        Outcome outcome = rule.judge(spot, preferences);
        List<Reading> fitting = new ArrayList<>();
        List<Reading> clashing = new ArrayList<>();
        String refusal = outcome.refusal();
        for (Reading reading : outcome.readings()) {
            Optional<String> clash = clash(reading, spot);
            if (clash.isEmpty()) {
                fitting.add(reading);
            } else {
                clashing.add(reading);
                refusal = clash.get();
            }
        }
        return new Outcome(fitting, refusal, clashing);
    }

    /** A note the reading adds a half step from the tune over it, in words; empty when none does. */
    static Optional<String> clash(Reading reading, Spot spot) {
        double at = 0;
        for (Reading.Step step : reading.steps()) {
            for (TuneNote note : spot.tune()) {
                boolean heard = note.from() < at + step.beats() - 1e-9 && note.from() + note.beats() > at + 1e-9;
                if (heard) {
                    Optional<String> clash = clash(step.chord(), spot, note);
                    if (clash.isPresent()) {
                        return clash;
                    }
                }
            }
            at += step.beats();
        }
        return Optional.empty();
    }

    private static Optional<String> clash(ChordSymbol chord, Spot spot, TuneNote sung) {
        int tune = sung.pitch().pitchClass();
        for (ChordSymbol.Tone tone : chord.tones()) {
            Note added = tone.note();
            int apart = Math.floorMod(added.pitchClass() - tune, 12);
            if ((apart == 1 || apart == 11) && !Tones.has(spot.chord(), added.pitchClass())) {
                return Optional.of(
                        "The " + added.glyphs() + " of " + chord.glyphs() + " lies a half step from the tune's "
                                + spot.key().spell(tune).glyphs() + ".");
            }
        }
        return Optional.empty();
    }
}
