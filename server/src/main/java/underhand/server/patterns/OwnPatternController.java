package underhand.server.patterns;

import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import underhand.server.arrangements.PatternChoiceRequest.OwnPattern;
import underhand.server.documents.DocumentCalls;
import underhand.server.documents.Keeper;
import underhand.server.documents.Keeper.Kind;
import underhand.server.storage.Writes;

/** Players' own patterns over HTTP. */
@RestController
@RequestMapping("/api/v1/own-patterns")
class OwnPatternController extends DocumentCalls<OwnPattern, OwnPatternView, OwnPatternController.OwnPatternRequest> {

    private static final int MOST = 200;

    OwnPatternController(OwnPatternRepository patterns, Writes writes) {
        super(new Keeper<>(
                new Kind<>("own pattern", "pattern", MOST, OwnPattern::toPattern, OwnPatternView::new),
                patterns,
                OwnPatternEntity::new,
                writes));
    }

    /** @param version the version that was read; missing for a new pattern */
    record OwnPatternRequest(Long version, OwnPattern pattern) implements Sent<OwnPattern> {
        @Override
        public OwnPattern content() {
            return pattern;
        }
    }
}
