package underhand.format.text;

import java.util.HashMap;
import java.util.Map;

/** Words of a chart as tokens; a chart has few different ones and many of each. For one thread. */
final class Tokens {

    private final Spelling spelling;
    private final Map<String, ChordToken> known = new HashMap<>();

    Tokens(Spelling spelling) {
        this.spelling = spelling;
    }

    ChordToken of(String text) {
        return known.computeIfAbsent(text, t -> ChordToken.of(t, spelling));
    }
}
