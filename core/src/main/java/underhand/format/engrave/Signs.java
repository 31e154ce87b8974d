package underhand.format.engrave;

/**
 * Musical signs as they are numbered in the Standard Music Font Layout (W3C Community Group, SMuFL 1.4), and widths of some of
 * them in staff spaces, as the font Bravura states them.
 */
final class Signs {

    static final int GUITAR_CLEF = 0xE052;
    static final int TAB_CLEF = 0xE06D;
    static final int TIME_0 = 0xE080;
    static final int HEAD_WHOLE = 0xE0A2;
    static final int HEAD_HALF = 0xE0A3;
    static final int HEAD_BLACK = 0xE0A4;
    static final int HEAD_X = 0xE0A9;
    static final int SLASH = 0xE100;
    static final int SLASH_WHOLE = 0xE102;
    static final int SLASH_HALF = 0xE103;
    static final int DOT = 0xE1E7;
    static final int FLAG_8_UP = 0xE240;
    static final int FLAT = 0xE260;
    static final int NATURAL = 0xE261;
    static final int SHARP = 0xE262;
    static final int DOUBLE_SHARP = 0xE263;
    static final int DOUBLE_FLAT = 0xE264;
    static final int ACCENT_ABOVE = 0xE4A0;
    static final int STACCATO_ABOVE = 0xE4A2;
    static final int REST_WHOLE = 0xE4E3;
    static final int REPEAT_BAR = 0xE500;

    /** Width of a black notehead. */
    static final float HEAD_WIDTH = 1.18f;

    /** Width of a dot. */
    static final float DOT_WIDTH = 0.4f;

    /** Width of the sign for a bar like the one before. */
    static final float REPEAT_WIDTH = 2.13f;

    private Signs() {}

    /** Width of the slash for a note value. */
    static float slashWidth(int type) {
        return switch (type) {
            case 1 -> 3.92f;
            case 2 -> 3.12f;
            default -> 1.46f;
        };
    }

    /** The sign before a note altered by so many semitones. */
    static int accidental(int alteration) {
        return switch (alteration) {
            case -2 -> DOUBLE_FLAT;
            case -1 -> FLAT;
            case 1 -> SHARP;
            case 2 -> DOUBLE_SHARP;
            default -> NATURAL;
        };
    }
}
