package underhand.server.songs;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import underhand.format.text.ChartTextReader;
import underhand.server.arrangements.PreviewRequest;

/**
 * A song as one text: its chart, and what was decided for it in a line of JSON behind it that other readers of charts pass over.
 * Who plays belongs to a book and stays there.
 */
public final class SongText {

    private static final List<String> OF_A_BOOK = List.of("playerId", "guitarId", "player", "guitar");

    private static final String BEFORE = "\n\n";

    private static final Pattern LINE = Pattern.compile(
            "(?:\r?\n){0,2}^" + Pattern.quote(ChartTextReader.EXTRA_MARK) + "(.*)(?:\r?\n)?", Pattern.MULTILINE);

    private SongText() {}

    /** A chart and the decisions its text holds, if it holds any that can be used. */
    record Taken(String source, Optional<Decisions> decisions) {}

    /**
     * The text of a song.
     *
     * @param source chart text as it is to be read
     * @param moved semitones by which the text already stands in another key than the one the song was decided in
     */
    public static String write(String source, PreviewRequest song, int moved, ObjectMapper json) {
        if (song.rung() == null) {
            return source;
        }
        ObjectNode said = json.valueToTree(song);
        said.remove(List.of("chart", "tuning"));
        said.remove(OF_A_BOOK);
        if (said.path("second") instanceof ObjectNode second) {
            second.remove(OF_A_BOOK);
        }
        if (said.path("capo").isTextual()) {
            said.remove("capo");
        }
        moveBack(said, moved);
        withoutNothing(said);
        said.put("schema", StoredDecisions.SCHEMA);
        return source + BEFORE + ChartTextReader.EXTRA_MARK + " " + said + "\n";
    }

    /** A text in the key that is heard needs no move, and its locks were counted so much nearer to it. */
    private static void moveBack(ObjectNode said, int moved) {
        if (moved == 0) {
            return;
        }
        said.put("transpose", said.path("transpose").asInt() - moved);
        for (JsonNode lock : said.path("locks")) {
            if (lock instanceof ObjectNode one && one.hasNonNull("transpose")) {
                one.put("transpose", one.get("transpose").asInt() - moved);
            }
        }
    }

    private static void withoutNothing(JsonNode node) {
        if (node instanceof ObjectNode object) {
            object.properties()
                    .removeIf(entry -> entry.getValue().isNull()
                            || entry.getValue() instanceof ArrayNode list
                                    && list.isEmpty()
                                    && !entry.getKey().equals("frets"));
        }
        node.forEach(SongText::withoutNothing);
    }

    /** Takes the decisions out of a text, which is the one they were written behind again; what cannot be used stays in it. */
    static Taken read(String text, ObjectMapper json) {
        Matcher line = LINE.matcher(text);
        Optional<Decisions> decisions = line.find() ? decisions(line.group(1), json) : Optional.empty();
        return decisions.isPresent()
                ? new Taken(text.substring(0, line.start()) + text.substring(line.end()), decisions)
                : new Taken(text, decisions);
    }

    private static Optional<Decisions> decisions(String line, ObjectMapper json) {
        try {
            Decisions said = json.readValue(line, StoredDecisions.class).toDecisions();
            said.check();
            return Optional.of(said);
        } catch (JsonProcessingException | RuntimeException e) {
            // What another version wrote, or somebody changed, stays in the text and is told of.
            return Optional.empty();
        }
    }
}
