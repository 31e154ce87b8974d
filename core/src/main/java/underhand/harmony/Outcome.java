package underhand.harmony;

import java.util.List;

/**
 * What a rule says to a placement: readings it proposes, or why it does not; both where one kind is proposed and another
 * refused.
 *
 * @param refusal one sentence; blank when nothing is refused
 * @param clashing readings that are refused only for a half step against the tune: a player may insist on them
 */
public record Outcome(List<Reading> readings, String refusal, List<Reading> clashing) {

    public Outcome {
        readings = List.copyOf(readings);
        clashing = List.copyOf(clashing);
    }

    static Outcome of(Reading... readings) {
        return of(List.of(readings));
    }

    static Outcome of(List<Reading> readings) {
        return new Outcome(readings, "", List.of());
    }

    static Outcome refused(String why) {
        return new Outcome(List.of(), why, List.of());
    }

    Outcome but(String why) {
        return new Outcome(readings, why, clashing);
    }
}
