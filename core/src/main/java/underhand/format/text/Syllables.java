package underhand.format.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Where the syllables of a word begin, well enough to put a chord over one: a syllable has one group of vowels and takes the
 * consonants before it that can begin a word. English and German; common practice of printed songs, not a dictionary.
 */
final class Syllables {

    private static final Pattern VOWELS = Pattern.compile("[aeiouyäöüàáâèéêëìíîïòóôùúûœæ]+");

    /** Groups of consonants that begin a syllable as one. */
    private static final Pattern ONSET =
            Pattern.compile("(?:qu|ch|sh|th|ph|wh|schl?|[bcfgkpv]l|[bcdfgkptv]r|thr|shr|chr|[dst]w|[^aeiouy])$");

    /** The last syllable of little and handled. */
    private static final Pattern LE = Pattern.compile("[^aeiouy]l$");

    private static final Pattern E_END = Pattern.compile("e[sd]?[^a-z]*");

    /** Vowels that are written and not sung: the e of lone, gates, walked; not that of little, roses, wanted. */
    private static final Pattern SILENT = Pattern.compile("(?<![aeiouy])(?<![^aeiouyl]l)e$"
            + "|(?<![aeiouysxzcg])(?<![cs]h)(?<![^aeiouyl]l)es$"
            + "|(?<![aeiouytd])(?<![^aeiouyl]l)ed$");

    private Syllables() {}

    /** Indices in a word at which its syllables begin; the first is 0. */
    static List<Integer> starts(String word) {
        String lower = word.toLowerCase(Locale.ROOT);
        int end = sungEnd(lower);
        List<Integer> starts = new ArrayList<>(List.of(0));
        Matcher vowels = VOWELS.matcher(lower).region(0, end);
        int after = -1;
        while (vowels.find()) {
            // The y of yes and the u of qu are consonants.
            boolean consonant = lower.startsWith("y", vowels.start())
                    && (vowels.start() == 0 || lower.charAt(vowels.start() - 1) == '-')
                    && vowels.end() - vowels.start() > 1;
            if (after >= 0 && !consonant) {
                starts.add(begin(lower, after, vowels.start()));
            }
            after = vowels.end();
        }
        return starts;
    }

    /** Where the consonants between two groups of vowels are cut. */
    private static int begin(String word, int from, int to) {
        String between = word.substring(from, to);
        int hyphen = between.lastIndexOf('-');
        if (hyphen >= 0) {
            return from + hyphen + 1;
        }
        boolean le =
                LE.matcher(between).find() && E_END.matcher(word.substring(to)).matches();
        Matcher onset = (le ? LE : ONSET).matcher(between);
        return between.isEmpty() ? to : onset.find() ? from + onset.start() : to;
    }

    /** End of what is sung: before a silent e, where another vowel is left. */
    private static int sungEnd(String word) {
        int letters = word.length();
        while (letters > 0 && !Character.isLetter(word.charAt(letters - 1))) {
            letters--;
        }
        Matcher silent = SILENT.matcher(word.substring(0, letters));
        return silent.find()
                        && VOWELS.matcher(word.substring(0, silent.start())).find()
                ? silent.start()
                : word.length();
    }
}
