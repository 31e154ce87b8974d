package underhand.format;

import java.util.Optional;
import java.util.regex.Pattern;
import underhand.chord.ChordSymbol;

/**
 * A word that stands where a chord may stand.
 *
 * @param column from 1
 * @param chord the chord it is; empty for N.C. and for what is no chord
 * @param isSilence whether it says that nothing is played
 */
record ChordToken(String text, int column, Optional<ChordSymbol> chord, boolean isSilence) {

    private static final Pattern SILENCE = Pattern.compile("N\\.?C\\.?");

    /** Looks like somebody meant a chord: a root letter, then few signs, with a digit or an accidental if longer. */
    private static final Pattern MEANT = Pattern.compile("[A-H](?:[^\\s]{0,2}|[^\\s]*[0-9#♯♭°+()/][^\\s]*)");

    static ChordToken of(String text, int column) {
        boolean silence = SILENCE.matcher(text).matches();
        return new ChordToken(text, column, silence ? Optional.empty() : ChordSymbol.tryParse(bare(text)), silence);
    }

    /** Without the parentheses some charts put round an optional chord. */
    private static String bare(String text) {
        boolean wrapped = text.length() > 2 && text.startsWith("(") && text.endsWith(")");
        return wrapped ? text.substring(1, text.length() - 1) : text;
    }

    boolean isRead() {
        return isSilence || chord.isPresent();
    }

    boolean isMeant() {
        return isRead() || MEANT.matcher(text).matches();
    }
}
