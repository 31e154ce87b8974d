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
import underhand.server.documents.Keeper;
import underhand.server.documents.Keeper.Kind;
import underhand.server.storage.Writes;

/** Players' own patterns over HTTP; a write over a newer version is refused with both. */
@RestController
@RequestMapping("/api/v1/own-patterns")
class OwnPatternController {

    private static final int MOST = 200;

    private final Keeper<OwnPattern, OwnPatternView> patterns;

    OwnPatternController(OwnPatternRepository patterns, Writes writes) {
        this.patterns = new Keeper<>(
                new Kind<>("own pattern", "pattern", MOST, OwnPattern::toPattern, OwnPatternView::new),
                patterns,
                OwnPatternEntity::new,
                writes);
    }

    /** @param version the version that was read; missing for a new pattern */
    record OwnPatternRequest(Long version, OwnPattern pattern) {}

    @GetMapping
    List<OwnPatternView> list() {
        return patterns.all();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    OwnPatternView add(@RequestBody OwnPatternRequest request) {
        return patterns.add(request.pattern());
    }

    @PutMapping("/{id}")
    OwnPatternView change(@PathVariable long id, @RequestBody OwnPatternRequest request) {
        return patterns.change(id, request.version(), request.pattern());
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable long id) {
        patterns.remove(id);
    }

    @PostMapping("/{id}/put-back")
    OwnPatternView putBack(@PathVariable long id) {
        return patterns.putBack(id);
    }
}
