package underhand.texture;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import underhand.input.RangeException;
import underhand.texture.Texture.OpenStrings;

/**
 * A texture a player has made. Its id is all of it, so that whoever has the id has the texture, whatever is removed or renamed
 * later: families, those taken where a chord has no grip of them, open strings, sets of strings, voices, and whether they are
 * led, such as {@code own: drop-2 drop-3 > form; none; 5432 4321; 4; led}.
 *
 * @param families taken first; one at least
 * @param otherwise taken where a chord has no grip of those; may be none
 * @param open allowed, none or bass
 * @param strings sets of strings, numbers from the highest as 1; none for any
 * @param voices strings a chord is to sound on; empty for as many as there are
 */
public record OwnTexture(
        List<String> families,
        List<String> otherwise,
        String open,
        List<String> strings,
        OptionalInt voices,
        boolean led) {

    private static final String START = "own: ";
    private static final String AND_ELSE = " > ";
    private static final String ANY = "any";
    private static final String LED = "led";
    private static final int MOST_SETS = 12;
    private static final int MOST_VOICES = 9;

    public OwnTexture {
        families = checked("families", families);
        otherwise = checked("otherwise", otherwise);
        if (families.isEmpty()) {
            throw RangeException.outside("families", "none", "one or more of " + known());
        }
        if (Arrays.stream(OpenStrings.values()).noneMatch(o -> id(o).equals(open))) {
            throw RangeException.outside("open", String.valueOf(open), "allowed, none or bass");
        }
        strings = List.copyOf(strings);
        if (strings.size() > MOST_SETS) {
            throw RangeException.outside("strings", strings.size() + " sets", "at most " + MOST_SETS);
        }
        strings.forEach(OwnTexture::checkSet);
        if (voices.isPresent() && (voices.getAsInt() < 2 || voices.getAsInt() > MOST_VOICES)) {
            throw RangeException.outside(
                    "voices", Integer.toString(voices.getAsInt()), "2 to " + MOST_VOICES + ", or left out");
        }
    }

    private static List<String> checked(String field, List<String> ids) {
        for (String id : ids) {
            if (Arrays.stream(Family.values()).noneMatch(f -> f.id().equals(id))) {
                throw RangeException.outside(field, id, known());
            }
        }
        return ids.stream().distinct().toList();
    }

    private static String known() {
        return Arrays.stream(Family.values()).map(Family::id).collect(Collectors.joining(", "));
    }

    /** From the lowest string, that is from the highest number, on; every string once. */
    private static void checkSet(String set) {
        boolean falls = set.chars().distinct().count() == set.length();
        for (int i = 1; i < set.length(); i++) {
            falls &= set.charAt(i) < set.charAt(i - 1);
        }
        if (!set.matches("[1-9]{2,9}") || !falls) {
            throw RangeException.outside(
                    "strings", set, "numbers of two to nine strings from the lowest on, such as 5432");
        }
    }

    private static String id(OpenStrings open) {
        return open.name().toLowerCase(Locale.ROOT);
    }

    static boolean is(String id) {
        return id.startsWith(START);
    }

    /** @throws RangeException naming what cannot be */
    static Texture parse(String id) {
        String[] cells = id.substring(START.length()).split(";", -1);
        if (cells.length != 5) {
            throw RangeException.outside("texture", id, "like own: drop-2 > form; none; 5432 4321; 4; led");
        }
        String[] tiers = cells[0].split(AND_ELSE.strip(), 2);
        String voices = cells[3].strip();
        if (!voices.equals(ANY) && !voices.matches("[0-9]")) {
            throw RangeException.outside("voices", voices, "2 to " + MOST_VOICES + ", or " + ANY);
        }
        return new OwnTexture(
                        words(tiers[0]),
                        tiers.length > 1 ? words(tiers[1]) : List.of(),
                        cells[1].strip(),
                        cells[2].strip().equals(ANY) ? List.of() : words(cells[2]),
                        voices.equals(ANY) ? OptionalInt.empty() : OptionalInt.of(Integer.parseInt(voices)),
                        cells[4].strip().equals(LED))
                .toTexture();
    }

    private static List<String> words(String cell) {
        return Arrays.stream(cell.strip().split("\\s+"))
                .filter(w -> !w.isEmpty())
                .toList();
    }

    /** The same texture always has the same id, in whatever order its families and strings were named. */
    public String id() {
        return START
                + String.join(
                        "; ",
                        inOrder(families) + (otherwise.isEmpty() ? "" : AND_ELSE + inOrder(otherwise)),
                        open,
                        strings.isEmpty()
                                ? ANY
                                : strings.stream().sorted().distinct().collect(Collectors.joining(" ")),
                        voices.isPresent() ? Integer.toString(voices.getAsInt()) : ANY,
                        led ? LED : "free");
    }

    private static String inOrder(List<String> ids) {
        return Arrays.stream(Family.values())
                .map(Family::id)
                .filter(ids::contains)
                .collect(Collectors.joining(" "));
    }

    private static Set<Family> tier(List<String> ids) {
        return EnumSet.copyOf(ids.stream().map(Family::parse).toList());
    }

    Texture toTexture() {
        List<Set<Family>> tiers =
                otherwise.isEmpty() ? List.of(tier(families)) : List.of(tier(families), tier(otherwise));
        return new Texture(
                id(),
                tiers,
                tiers,
                OpenStrings.valueOf(open.toUpperCase(Locale.ROOT)),
                strings,
                OptionalInt.of(voices.orElse(0)),
                led,
                1,
                inWords());
    }

    /** What it is: {@code drop 2 or drop 3 on strings 5432 or 4321, no open strings}. */
    private String inWords() {
        return families.stream().map(f -> Family.parse(f).label()).collect(Collectors.joining(" or "))
                + (strings.isEmpty() ? "" : " on strings " + String.join(" or ", strings))
                + (open.equals(id(OpenStrings.NONE)) ? ", no open strings" : "")
                + (led ? ", voices led" : "");
    }
}
