package underhand.server.backup;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import underhand.server.storage.Shelf;

/**
 * One thing on a shelf.
 *
 * @param id its number in the book it is from; another book may count otherwise
 * @param content what is kept of it, by field; what it refers to by uid
 */
record Item(UUID uid, long id, ObjectNode content) {

    /** What people call it. */
    String label(Shelf shelf) {
        String field = shelf.label();
        int dot = field.indexOf('.');
        String said = dot < 0
                ? content.path(field).asText()
                : content.path(field.substring(0, dot))
                        .path(field.substring(dot + 1))
                        .asText();
        return said.isBlank() ? "without a name" : said;
    }

    Optional<Instant> changed() {
        return content.hasNonNull(Shelf.CHANGED)
                ? Optional.of(Instant.parse(content.get(Shelf.CHANGED).asText()))
                : Optional.empty();
    }

    boolean isRemoved() {
        return content.hasNonNull(Shelf.REMOVED);
    }

    /** Of two versions of a thing the later one, removed only if both are. */
    static Item merged(Item here, Item there) {
        boolean isLater = there.changed()
                .flatMap(t -> here.changed().map(h -> t.isAfter(h)))
                .orElse(false);
        ObjectNode content = (isLater ? there : here).content().deepCopy();
        if (content.has(Shelf.REMOVED) && !(here.isRemoved() && there.isRemoved())) {
            content.putNull(Shelf.REMOVED);
        }
        return new Item(here.uid(), here.id(), content);
    }
}
