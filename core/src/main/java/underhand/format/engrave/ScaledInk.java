package underhand.format.engrave;

import underhand.format.engrave.Lettering.Face;

/** Draws all so many times as large. */
record ScaledInk(Ink ink, float scale) implements Ink {

    @Override
    public void text(Face face, float points, float x, float y, String text) {
        ink.text(face, points * scale, x * scale, y * scale, text);
    }

    @Override
    public void sign(int sign, float space, float x, float y) {
        ink.sign(sign, space * scale, x * scale, y * scale);
    }

    @Override
    public void line(float x1, float y1, float x2, float y2, float wide) {
        ink.line(x1 * scale, y1 * scale, x2 * scale, y2 * scale, wide * scale);
    }

    @Override
    public void arc(float x1, float x2, float y, float bend) {
        ink.arc(x1 * scale, x2 * scale, y * scale, bend * scale);
    }

    @Override
    public void blank(float x, float y, float wide, float tall) {
        ink.blank(x * scale, y * scale, wide * scale, tall * scale);
    }
}
