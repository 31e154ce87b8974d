package underhand.server.documents;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import underhand.server.platform.InputException;
import underhand.server.platform.StaleWriteException;
import underhand.server.storage.Writes;

/**
 * Keeps the documents of one kind; a write over a newer version is refused with both.
 *
 * @param <T> content of a document
 * @param <V> a document as the API gives it
 */
public final class Keeper<T, V> {

    /** A document as the API gives it. */
    public interface View<T, V> {
        V of(long id, long version, T content);
    }

    /**
     * What is particular to a kind.
     *
     * @param name of one of them in words, such as {@code player}
     * @param field the API has the content in
     * @param most the book keeps
     * @param check throws, naming what of a content cannot be
     */
    public record Kind<T, V>(String name, String field, int most, Consumer<T> check, View<T, V> view) {}

    private final Kind<T, V> kind;
    private final Table<?> table;
    private final Writes writes;

    /** Ties an entity to its repository, which a keeper need not know the type of. */
    private final class Table<E extends Document<T>> {

        private final DocumentRepository<E> repository;
        private final Supplier<E> blank;

        Table(DocumentRepository<E> repository, Supplier<E> blank) {
            this.repository = repository;
            this.blank = blank;
        }

        List<V> all() {
            return repository.findAllByRemovedAtIsNullOrderByIdAsc().stream()
                    .map(Keeper.this::view)
                    .toList();
        }

        V add(T content) {
            if (repository.countByRemovedAtIsNull() >= kind.most()) {
                throw InputException.field(
                        kind.field(),
                        "The book keeps at most " + kind.most() + " " + kind.name() + "s. Remove one first.");
            }
            return written(blank.get(), content);
        }

        V change(long id, Long version, T content) {
            E stored = stored(id);
            if (!Objects.equals(version, stored.version())) {
                throw new StaleWriteException(
                        "The " + kind.name(),
                        kind.view().of(id, version == null ? -1 : version, content),
                        view(stored));
            }
            return written(stored, content);
        }

        private V written(E document, T content) {
            document.change(content);
            return view(repository.saveAndFlush(document));
        }

        void remove(long id) {
            E document = stored(id);
            document.remove();
            repository.saveAndFlush(document);
        }

        V putBack(long id) {
            E document = repository
                    .findByIdAndRemovedAtIsNotNull(id)
                    .orElseThrow(() ->
                            InputException.notFound("There is no removed " + kind.name() + " " + id + " to put back."));
            document.putBack();
            return view(repository.saveAndFlush(document));
        }

        E stored(long id) {
            return repository
                    .findByIdAndRemovedAtIsNull(id)
                    .orElseThrow(() -> InputException.notFound(
                            "There is no " + kind.name() + " " + id + "; it may have been removed."));
        }
    }

    /** @param blank makes a document without content */
    public <E extends Document<T>> Keeper(
            Kind<T, V> kind, DocumentRepository<E> repository, Supplier<E> blank, Writes writes) {
        this.kind = kind;
        this.table = new Table<>(repository, blank);
        this.writes = writes;
    }

    public boolean isEmpty() {
        return table.repository.countByRemovedAtIsNull() == 0;
    }

    /** All of them, in the order in which they came. */
    public List<V> all() {
        return table.all();
    }

    /** @throws InputException when there is none of this number */
    public T content(long id) {
        return table.stored(id).content();
    }

    public Optional<T> find(long id) {
        return table.repository.findByIdAndRemovedAtIsNull(id).map(Document::content);
    }

    public V add(T content) {
        T checked = checked(content);
        return writes.in(() -> table.add(checked));
    }

    /**
     * @param version the version that was read
     * @throws StaleWriteException when there is a newer one
     */
    public V change(long id, Long version, T content) {
        T checked = checked(content);
        return writes.in(() -> table.change(id, version, checked));
    }

    /** Takes one out of the book; it can be put back. */
    public void remove(long id) {
        writes.in(() -> table.remove(id));
    }

    /** Puts a removed one back where it was, under its number. */
    public V putBack(long id) {
        return writes.in(() -> table.putBack(id));
    }

    private T checked(T content) {
        if (content == null) {
            throw InputException.field(kind.field(), kind.field() + " is missing.");
        }
        kind.check().accept(content);
        return content;
    }

    private V view(Document<T> document) {
        return kind.view().of(document.id(), document.version(), document.content());
    }
}
