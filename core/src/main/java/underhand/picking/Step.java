package underhand.picking;

import java.util.List;

/** What the right hand does on one step of a pattern. */
public sealed interface Step {

    /** How hard a stroke is; its sign follows the stroke in a pattern's steps. */
    enum Weight {
        NORMAL(""),
        ACCENT(">"),
        /** Brushed over damped strings: heard as a tick. */
        GHOST("x");

        private final String sign;

        Weight(String sign) {
            this.sign = sign;
        }
    }

    /** What becomes of the notes of a stroke; its sign follows the stroke in a pattern's steps. */
    enum Sound {
        /** They ring until their string is struck or the grip changes. */
        RING(""),
        PALM_MUTE("_"),
        /** They are stopped at once. */
        CUT("^");

        private final String sign;

        Sound(String sign) {
            this.sign = sign;
        }
    }

    enum Direction {
        DOWN,
        UP
    }

    /** Which of the sounding strings a strum takes. */
    enum Span {
        ALL(""),
        /** The two lowest. */
        BASS("b"),
        /** The three highest. */
        TREBLE("t");

        private final String sign;

        Span(String sign) {
            this.sign = sign;
        }
    }

    /** Nothing: what sounds rings on, a strumming hand passes over the strings. */
    record Rest() implements Step {
        @Override
        public String toString() {
            return ".";
        }
    }

    /**
     * Strings plucked together.
     *
     * @param roles lowest first
     * @param strings numbers of strings named outright, 1 for the highest
     */
    record Pick(List<Role> roles, List<Integer> strings, Weight weight, Sound sound) implements Step {

        public Pick {
            roles = List.copyOf(roles);
            strings = List.copyOf(strings);
        }

        @Override
        public String toString() {
            StringBuilder text = new StringBuilder();
            roles.forEach(r -> text.append(r.letter()));
            strings.forEach(text::append);
            return text + weight.sign + sound.sign;
        }
    }

    record Strum(Direction direction, Span span, Weight weight, Sound sound) implements Step {

        @Override
        public String toString() {
            return (direction == Direction.DOWN ? "D" : "U") + span.sign + weight.sign + sound.sign;
        }
    }

    Rest REST = new Rest();

    default boolean strikes() {
        return !(this instanceof Rest);
    }
}
