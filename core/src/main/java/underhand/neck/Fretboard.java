package underhand.neck;

import java.util.Objects;
import underhand.input.RangeException;

/**
 * Distances on a neck with a capo, in millimetres.
 *
 * <p>Fret n of the neck lies {@code L * (1 - 2^(-n/12))} from the nut (equal temperament). A fingertip presses a little
 * behind its fret. A capo at k is a new nut: frets count from it and distances stay real, so a shape is narrower on the
 * hand above a capo than below it.
 */
public final class Fretboard {

    /** How far behind its fret a fingertip presses, as a part of the fret's width (memory). */
    private static final double BEHIND_FRET = 0.3;

    private final Guitar guitar;
    private final Tuning tuning;
    private final int capo;
    /** Frets below the capo that a relaxed hand may reach back over. */
    private static final int BELOW = 6;

    private final double[] press;

    /** Fret lines from {@link #BELOW} frets under the capo on. */
    private final double[] line;

    private final int[] open;
    private final Retuning retuning;

    public Fretboard(Guitar guitar, Tuning tuning, int capo) {
        this.guitar = Objects.requireNonNull(guitar, "guitar");
        this.tuning = Objects.requireNonNull(tuning, "tuning");
        RangeException.check("capo", capo, 0, guitar.frets() - 1);
        this.capo = capo;
        this.line = new double[BELOW + frets() + BELOW];
        for (int i = 0; i < line.length; i++) {
            line[i] = guitar.scaleLengthMm() * (1 - Math.pow(2, -(capo + i - BELOW) / 12.0));
        }
        this.press = new double[frets() + 1];
        for (int fret = 0; fret < press.length; fret++) {
            press[fret] = fret == 0 ? fretMm(0) : fretMm(fret) - BEHIND_FRET * fretWidthMm(fret);
        }
        this.retuning = Retuning.of(tuning);
        this.open = new int[tuning.size()];
        for (int string = 0; string < open.length; string++) {
            open[string] = tuning.midi(string, capo, 0);
        }
    }

    public Guitar guitar() {
        return guitar;
    }

    public Tuning tuning() {
        return tuning;
    }

    /** What is left of the standard tuning. */
    public Retuning retuning() {
        return retuning;
    }

    public int capo() {
        return capo;
    }

    public int strings() {
        return open.length;
    }

    /** How many frets are left above the capo. */
    public int frets() {
        return guitar.frets() - capo;
    }

    /**
     * Distance of a fret above the capo from the nut.
     *
     * @param fret from 6 frets below the capo to 5 past the neck's end
     */
    public double fretMm(int fret) {
        return line[fret + BELOW];
    }

    /** Width of the space before a fret above the capo. */
    public double fretWidthMm(int fret) {
        return fretMm(fret) - fretMm(fret - 1);
    }

    /** Where a fingertip presses for a fret above the capo, from the nut. */
    public double pressMm(int fret) {
        return press[fret];
    }

    /** Distance between two neighbouring strings at a distance from the nut. */
    public double stringGapMm(double fromNutMm) {
        double share = fromNutMm / guitar.scaleLengthMm();
        double spread = guitar.nutSpreadMm() + share * (guitar.bridgeSpreadMm() - guitar.nutSpreadMm());
        return spread / (open.length - 1);
    }

    /** Sounding MIDI number of a string stopped at a fret above the capo. */
    public int midi(int string, int fret) {
        return open[string] + fret;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Fretboard board
                && capo == board.capo
                && guitar.equals(board.guitar)
                && tuning.equals(board.tuning);
    }

    @Override
    public int hashCode() {
        return Objects.hash(guitar, tuning, capo);
    }
}
