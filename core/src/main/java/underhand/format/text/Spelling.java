package underhand.format.text;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import underhand.chord.ChordSymbol;

/**
 * How a chart names its notes. In German, H is the B of English and B its B flat; sharps end in -is, flats in -es.
 *
 * <p>Source: common practice; DIN 13342 and ISO 16:1975 do not settle note names.
 */
enum Spelling {
    ENGLISH,
    GERMAN;

    /** No chord's name is longer. */
    private static final int LONGEST = 40;

    private static final Pattern SMALL_BASS = Pattern.compile("[a-h][#b♯♭]?");
    private static final Pattern GERMAN_ROOT = Pattern.compile("(?:([CDEFGAH])is|([CDFG])es|([EA])s|(H))(?!us)(.*)");
    private static final Pattern B_ALONE = Pattern.compile("B(?![b♭#♯])(.*)");

    /** The chord a text is in this spelling; a name only German has is read in both, for it can be nothing else. */
    Optional<ChordSymbol> chord(String text) {
        if (text.isEmpty() || text.length() > LONGEST || text.charAt(0) < 'A' || text.charAt(0) > 'H') {
            return Optional.empty();
        }
        int slash = text.lastIndexOf('/');
        String bass = slash < 0 ? "" : text.substring(slash + 1);
        if (SMALL_BASS.matcher(bass).matches()) {
            return chord(
                    text.substring(0, slash + 1) + bass.substring(0, 1).toUpperCase(Locale.ROOT) + bass.substring(1));
        }
        String named = isNote(bass) ? english(text.substring(0, slash)) + "/" + english(bass) : english(text);
        return ChordSymbol.tryParse(named);
    }

    /** Whether a text is a chord that only German names so. */
    static boolean isGermanOnly(String text) {
        boolean looksSo = GERMAN_ROOT.matcher(text).matches()
                || GERMAN_ROOT
                        .matcher(text.substring(text.lastIndexOf('/') + 1))
                        .matches();
        return looksSo
                && ChordSymbol.tryParse(text).isEmpty()
                && GERMAN.chord(text).isPresent();
    }

    private static boolean isNote(String text) {
        Matcher german = GERMAN_ROOT.matcher(text);
        return text.equals("B")
                || text.equals("Bb")
                || text.equals("B♭")
                || german.matches() && german.group(5).isEmpty();
    }

    private String english(String text) {
        Matcher root = GERMAN_ROOT.matcher(text);
        if (root.matches() && (this == GERMAN || ChordSymbol.tryParse(text).isEmpty())) {
            String sharp = root.group(1) == null ? "" : "#";
            String flat = root.group(2) == null && root.group(3) == null ? "" : "b";
            String letter = root.group().substring(0, 1);
            return (letter.equals("H") ? "B" : letter) + sharp + flat + root.group(5);
        }
        Matcher b = B_ALONE.matcher(text);
        return this == GERMAN && b.matches() ? "Bb" + b.group(1) : text;
    }
}
