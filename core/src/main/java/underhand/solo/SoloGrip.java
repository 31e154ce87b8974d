package underhand.solo;

import underhand.hand.Effort;
import underhand.hand.Grip;

/**
 * What the left hand holds at a moment, and which of its strings are played there.
 *
 * @param top string of the tune; {@link #NONE} where it has none
 * @param bass string of the bass; {@link #NONE} where none is to be played
 * @param inner strings between them, a bit each
 * @param effort what it costs by itself, hand and ear
 * @param from the grip of the chord it came from by a finger that was lifted or set down; itself where a chord was gripped anew
 */
record SoloGrip(Grip grip, int top, int bass, int inner, Effort effort, SoloGrip from) {

    static final int NONE = -1;

    /** A grip of its own. */
    SoloGrip(Grip grip, int top, int bass, int inner, Effort effort) {
        this(grip, top, bass, inner, effort, null);
    }

    /** The grip of the chord that is still held. */
    SoloGrip anchor() {
        return from == null ? this : from;
    }

    /** Whether it holds a chord, not the tune alone. */
    boolean holdsChord() {
        return bass != NONE || inner != 0;
    }

    double cost() {
        return effort.total();
    }

    boolean playsInner(int string) {
        return (inner >> string & 1) == 1;
    }
}
