package underhand.e2e;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Sound of two channels, and what can be measured of it.
 *
 * @param rate samples a second
 * @param pressed second at which something was pressed last
 */
record Recording(double rate, float[] left, float[] right, double pressed) {

    /** Below this a sample is silence: 66 dB under the full scale. */
    private static final double SILENCE = 5e-4;

    double seconds() {
        return left.length / rate;
    }

    private double at(int i) {
        return (left[i] + right[i]) / 2;
    }

    double peak() {
        double peak = 0;
        for (int i = 0; i < left.length; i++) {
            peak = Math.max(peak, Math.max(Math.abs(left[i]), Math.abs(right[i])));
        }
        return peak;
    }

    /** Mean of all samples. */
    double offset() {
        double sum = 0;
        for (int i = 0; i < left.length; i++) {
            sum += at(i);
        }
        return sum / Math.max(1, left.length);
    }

    /** Second at which it begins to sound; its length when it is silent. */
    double firstSound() {
        for (int i = 0; i < left.length; i++) {
            if (Math.abs(at(i)) > SILENCE) {
                return i / rate;
            }
        }
        return seconds();
    }

    /** Second at which the last sound ends; 0 when it is silent. */
    double lastSound() {
        for (int i = left.length - 1; i >= 0; i--) {
            if (Math.abs(at(i)) > SILENCE) {
                return i / rate;
            }
        }
        return 0;
    }

    /** The part between two seconds. */
    Recording between(double from, double to) {
        int begin = Math.max(0, (int) (from * rate));
        int end = Math.min(left.length, (int) (to * rate));
        return new Recording(
                rate,
                Arrays.copyOfRange(left, begin, Math.max(begin, end)),
                Arrays.copyOfRange(right, begin, Math.max(begin, end)),
                0);
    }

    /**
     * Loudness in LUFS, without gates: the two filters of ITU-R BS.1770-4 (their coefficients from memory, for 48 kHz, which
     * are near enough at 44.1 kHz), then the mean square of both channels.
     */
    double loudness() {
        double square = square(left) + square(right);
        return -0.691 + 10 * Math.log10(square / Math.max(1, left.length));
    }

    private static double square(float[] samples) {
        double[] shelf = filtered(
                samples, 1.53512485958697, -2.69169618940638, 1.19839281085285, -1.69065929318241, 0.73248077421585);
        float[] shelved = new float[shelf.length];
        for (int i = 0; i < shelf.length; i++) {
            shelved[i] = (float) shelf[i];
        }
        double sum = 0;
        for (double sample : filtered(shelved, 1, -2, 1, -1.99004745483398, 0.99007225036621)) {
            sum += sample * sample;
        }
        return sum;
    }

    private static double[] filtered(float[] in, double b0, double b1, double b2, double a1, double a2) {
        double[] out = new double[in.length];
        for (int i = 0; i < in.length; i++) {
            double before = i > 0 ? b1 * in[i - 1] - a1 * out[i - 1] : 0;
            double twoBefore = i > 1 ? b2 * in[i - 2] - a2 * out[i - 2] : 0;
            out[i] = b0 * in[i] + before + twoBefore;
        }
        return out;
    }

    /** Seconds at which something new is struck: where the high part of the sound grows at once. */
    List<Double> onsets() {
        int hop = (int) (rate * 0.004);
        List<Double> onsets = new ArrayList<>();
        double mean = 0;
        for (int frame = 1; (frame + 1) * hop < left.length; frame++) {
            double energy = 0;
            for (int i = frame * hop; i < (frame + 1) * hop; i++) {
                double sharp = at(i) - at(i - 1);
                energy += sharp * sharp;
            }
            double second = frame * hop / rate;
            boolean rests = onsets.isEmpty() || second - onsets.get(onsets.size() - 1) > 0.09;
            if (rests && energy > 1e-5 && energy > 6 * mean) {
                onsets.add(second);
            }
            mean = Math.max(0.9 * mean, energy * 0.6 + mean * 0.3);
        }
        return onsets;
    }

    /** How much of a pitch there is, by the algorithm of G. Goertzel (1958): amplitude at its frequency. */
    double amount(int midi) {
        double hertz = 440 * Math.pow(2, (midi - 69) / 12.0);
        double coefficient = 2 * Math.cos(2 * Math.PI * hertz / rate);
        double before = 0;
        double twoBefore = 0;
        for (int i = 0; i < left.length; i++) {
            double window = 0.5 - 0.5 * Math.cos(2 * Math.PI * i / left.length);
            double now = window * at(i) + coefficient * before - twoBefore;
            twoBefore = before;
            before = now;
        }
        double power = before * before + twoBefore * twoBefore - coefficient * before * twoBefore;
        return 4 * Math.sqrt(Math.max(0, power)) / left.length;
    }

    /** Sharpness beside loudness: the brighter a sound, the more. */
    double brightness() {
        double sharp = 0;
        double all = 1e-12;
        for (int i = 1; i < left.length; i++) {
            double step = at(i) - at(i - 1);
            sharp += step * step;
            all += at(i) * at(i);
        }
        return sharp / all;
    }
}
