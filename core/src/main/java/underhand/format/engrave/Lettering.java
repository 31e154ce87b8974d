package underhand.format.engrave;

/** Measures text as it will be set. */
public interface Lettering {

    /** What text is set in. */
    enum Face {
        PLAIN,
        BOLD,
        /** All digits as wide as one another. */
        MONO
    }

    /** Width of a text in points, set so many points large. */
    float width(Face face, float points, String text);
}
