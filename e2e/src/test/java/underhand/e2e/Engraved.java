package underhand.e2e;

import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.openqa.selenium.By;

/** The signs of a music font on the sheet that is open (W3C Community Group, SMuFL 1.4). */
final class Engraved {

    /** Heads of notes: whole, half, black, and the cross of a damped string. */
    static final Pattern HEADS = Pattern.compile("[\uE0A2-\uE0A4\uE0A7-\uE0A9]");

    /** Heads of strums whose notes the chord's name says. */
    static final Pattern SLASHES = Pattern.compile("[\uE100-\uE103]");

    private Engraved() {}

    /** How many of some signs stand on it. */
    static long count(Browser browser, Pattern signs) {
        String drawn = browser.driver().findElements(By.cssSelector("[data-testid=system] svg text")).stream()
                .map(sign -> sign.getDomProperty("textContent"))
                .collect(Collectors.joining());
        return signs.matcher(drawn).results().count();
    }
}
