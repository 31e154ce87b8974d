package underhand.harmony;

import java.util.List;

/**
 * What a rule says to a placement: readings it proposes, or why it does not; both where one kind is proposed and another
 * refused.
 *
 * @param refusal one sentence; blank when nothing is refused
 */
public record Outcome(List<Reading> readings, String refusal) {

    public Outcome {
        readings = List.copyOf(readings);
    }

    static Outcome of(Reading... readings) {
        return new Outcome(List.of(readings), "");
    }

    static Outcome of(List<Reading> readings) {
        return new Outcome(readings, "");
    }

    static Outcome refused(String why) {
        return new Outcome(List.of(), why);
    }

    Outcome but(String why) {
        return new Outcome(readings, why);
    }
}
