package underhand.server.tunings;

import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import underhand.server.documents.DocumentCalls;
import underhand.server.documents.Keeper;
import underhand.server.documents.Keeper.Kind;
import underhand.server.storage.Writes;

/** Players' own tunings over HTTP. */
@RestController
@RequestMapping("/api/v1/own-tunings")
class OwnTuningController extends DocumentCalls<OwnTuning, OwnTuningView, OwnTuningController.OwnTuningRequest> {

    private static final int MOST = 100;

    OwnTuningController(OwnTuningRepository tunings, Writes writes) {
        super(new Keeper<>(
                new Kind<>("own tuning", "tuning", MOST, OwnTuning::toTuning, OwnTuningView::new),
                tunings,
                OwnTuningEntity::new,
                writes));
    }

    /** @param version the version that was read; missing for a new tuning */
    record OwnTuningRequest(Long version, OwnTuning tuning) implements Sent<OwnTuning> {
        @Override
        public OwnTuning content() {
            return tuning;
        }
    }
}
