package underhand.server.patterns;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import underhand.server.arrangements.PatternChoiceRequest.OwnPattern;
import underhand.server.platform.InputException;
import underhand.server.platform.StaleWriteException;
import underhand.server.storage.Writes;

/** Players' own patterns over HTTP; a write over a newer version is refused with both. */
@RestController
@RequestMapping("/api/v1/own-patterns")
class OwnPatternController {

    private static final int MOST = 200;

    private final OwnPatternRepository patterns;
    private final Writes writes;

    OwnPatternController(OwnPatternRepository patterns, Writes writes) {
        this.patterns = patterns;
        this.writes = writes;
    }

    /** @param version the version that was read; missing for a new pattern */
    record OwnPatternRequest(Long version, OwnPattern pattern) {

        OwnPattern checked() {
            if (pattern == null) {
                throw InputException.field("pattern", "pattern is missing.");
            }
            pattern.toPattern();
            return pattern;
        }
    }

    @GetMapping
    List<OwnPatternView> list() {
        return patterns.findAllByOrderByIdAsc().stream()
                .map(OwnPatternEntity::view)
                .toList();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    OwnPatternView add(@RequestBody OwnPatternRequest request) {
        OwnPattern pattern = request.checked();
        return writes.in(() -> {
            if (patterns.count() >= MOST) {
                throw InputException.field(
                        "pattern", "The book keeps at most " + MOST + " own patterns. Remove one first.");
            }
            return patterns.saveAndFlush(new OwnPatternEntity(pattern)).view();
        });
    }

    @PutMapping("/{id}")
    OwnPatternView change(@PathVariable long id, @RequestBody OwnPatternRequest request) {
        OwnPattern pattern = request.checked();
        return writes.in(() -> {
            OwnPatternEntity stored = stored(id);
            if (request.version() == null || stored.view().version() != request.version()) {
                long read = request.version() == null ? -1 : request.version();
                throw new StaleWriteException("The pattern", new OwnPatternView(id, read, pattern), stored.view());
            }
            stored.change(pattern);
            return patterns.saveAndFlush(stored).view();
        });
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable long id) {
        writes.in(() -> patterns.delete(stored(id)));
    }

    private OwnPatternEntity stored(long id) {
        return patterns.findById(id)
                .orElseThrow(
                        () -> InputException.notFound("There is no own pattern " + id + "; it may have been removed."));
    }
}
