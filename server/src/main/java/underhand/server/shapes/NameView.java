package underhand.server.shapes;

import java.util.List;
import underhand.chord.ChordNamer;

/**
 * What a shape is called.
 *
 * @param missing intervals of the name that do not sound
 */
record NameView(String symbol, String root, String bass, List<String> missing) {

    static NameView of(ChordNamer.Name name) {
        return new NameView(
                name.symbol().glyphs(),
                name.symbol().root().toString(),
                name.bass().toString(),
                name.missing().stream().map(Object::toString).toList());
    }
}
