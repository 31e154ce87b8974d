package underhand.server.documents;

import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
import jakarta.persistence.Version;
import java.time.Instant;

/**
 * A document as stored: its number, how often it was changed, and its content, which the kind keeps in a JSON column of its own.
 *
 * @param <T> content
 */
@MappedSuperclass
public abstract class Document<T> {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @Version
    private long version;

    private Instant changedAt;

    /** When it was removed; null while it is in the book. */
    private Instant removedAt;

    protected abstract T content();

    protected abstract void put(T content);

    final void change(T content) {
        put(content);
        changedAt = Instant.now();
    }

    final void remove() {
        removedAt = Instant.now();
    }

    final void putBack() {
        removedAt = null;
    }

    final long id() {
        return id;
    }

    final long version() {
        return version;
    }
}
