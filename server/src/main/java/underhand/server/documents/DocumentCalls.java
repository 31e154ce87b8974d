package underhand.server.documents;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;

/**
 * The calls every kind of document has, under the path of its controller; a write over a newer version is refused with both.
 *
 * @param <T> content of a document
 * @param <V> a document as the API gives it
 * @param <R> a document as it is sent
 */
public abstract class DocumentCalls<T, V, R extends DocumentCalls.Sent<T>> {

    /** A document as it is sent, its content under a name of its kind's own. */
    public interface Sent<T> {

        /** The version that was read; null for a new document. */
        Long version();

        T content();
    }

    private final Keeper<T, V> keeper;

    protected DocumentCalls(Keeper<T, V> keeper) {
        this.keeper = keeper;
    }

    @GetMapping
    List<V> list() {
        return keeper.all();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    V add(@RequestBody R request) {
        return keeper.add(request.content());
    }

    @PutMapping("/{id}")
    V change(@PathVariable long id, @RequestBody R request) {
        return keeper.change(id, request.version(), request.content());
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable long id) {
        keeper.remove(id);
    }

    @PostMapping("/{id}/put-back")
    V putBack(@PathVariable long id) {
        return keeper.putBack(id);
    }
}
