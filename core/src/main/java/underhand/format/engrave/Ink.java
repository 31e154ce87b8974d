package underhand.format.engrave;

import underhand.format.engrave.Lettering.Face;

/** Takes what is drawn. Places are points from the left edge of a row and down from its upper edge. */
public interface Ink {

    /** Text from its left end, on its baseline. */
    void text(Face face, float points, float x, float y, String text);

    /**
     * A musical sign with its origin at a place.
     *
     * @param sign its number in the Standard Music Font Layout (W3C Community Group, SMuFL 1.4)
     * @param space points of a staff space; four are one em of the font
     */
    void sign(int sign, float space, float x, float y);

    void line(float x1, float y1, float x2, float y2, float wide);

    /** A level line bent by so much downwards in its middle. */
    void arc(float x1, float x2, float y, float bend);

    /** Blanks a place out from its upper left corner, so that what comes after it can stand on a line. */
    void blank(float x, float y, float wide, float tall);
}
