package underhand.format.text;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import underhand.chord.ChordSymbol;

/**
 * A word that stands where a chord may stand.
 *
 * @param chord the chord it is; empty for N.C. and for what is no chord
 * @param isSilence whether it says that nothing is played
 */
record ChordToken(String text, Optional<ChordSymbol> chord, boolean isSilence) {

    private static final Pattern SILENCE = Pattern.compile("\\(?(?i:N\\.?\\s?C\\.?|tacet)\\)?");

    /** Looks like somebody meant a chord: letters first, and a sign or ending that only chords have. */
    private static final Pattern MEANT = Pattern.compile(
            "\\(?[A-Z][^\\s]{0,4}[0-9#♯♭°øΔ△∆+][^\\s]{0,12}|[A-H][b#♯♭]?(?:m|maj|min|dim|aug|sus|add)[^\\s]{0,4}"
                    + "|[a-h][#♯♭]?(?:m|maj|min|dim|sus)?[0-9]+");

    /** A chord in small letters, as lazy typing and some German charts have them. */
    private static final Pattern SMALL = Pattern.compile("[a-h][#b♯♭]?m?");

    /** Signs that players put behind a chord and that are not part of its name. */
    private static final Pattern SIGNED = Pattern.compile("([^*!.,;:]+)[*!.,;:]+");

    static ChordToken of(String text, Spelling spelling) {
        if (SILENCE.matcher(text).matches()) {
            return new ChordToken(text, Optional.empty(), true);
        }
        Matcher signed = SIGNED.matcher(text);
        return new ChordToken(
                text,
                spelling.chord(bare(text))
                        .or(() -> signed.matches() ? spelling.chord(bare(signed.group(1))) : Optional.empty()),
                false);
    }

    /** Without the parentheses some charts put round an optional chord. */
    static String bare(String text) {
        boolean wrapped = text.length() > 2 && text.startsWith("(") && text.endsWith(")");
        return wrapped ? text.substring(1, text.length() - 1) : text;
    }

    static boolean isSmall(String text) {
        return SMALL.matcher(text).matches();
    }

    boolean isRead() {
        return isSilence || chord.isPresent();
    }

    boolean isMeant() {
        return isRead() || MEANT.matcher(text).matches();
    }
}
