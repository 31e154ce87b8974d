package underhand.fill;

import java.util.Locale;

/** How a note is made to sound. */
public enum Technique {
    /** The right hand plucks it. */
    PLUCKED(""),
    /** A left-hand finger comes down on a string that sounds. */
    HAMMER_ON("h"),
    /** A left-hand finger leaves a string and plucks it. */
    PULL_OFF("p"),
    /** A finger moves along a string that sounds. */
    SLIDE("/");

    private final String sign;

    Technique(String sign) {
        this.sign = sign;
    }

    public boolean isPlucked() {
        return this == PLUCKED;
    }

    public boolean isSlide() {
        return this == SLIDE;
    }

    /** As tab has it before a fret: {@code h}, {@code p} or {@code /}; nothing for one plucked. */
    public String sign() {
        return sign;
    }

    /** {@code plucked}, {@code hammer-on}, {@code pull-off} or {@code slide}. */
    public String label() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
