package underhand.server.tunings;

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
import underhand.server.documents.Keeper;
import underhand.server.documents.Keeper.Kind;
import underhand.server.storage.Writes;

/** Players' own tunings over HTTP; a write over a newer version is refused with both. */
@RestController
@RequestMapping("/api/v1/own-tunings")
class OwnTuningController {

    private static final int MOST = 100;

    private final Keeper<OwnTuning, OwnTuningView> tunings;

    OwnTuningController(OwnTuningRepository tunings, Writes writes) {
        this.tunings = new Keeper<>(
                new Kind<>("own tuning", "tuning", MOST, OwnTuning::toTuning, OwnTuningView::new),
                tunings,
                OwnTuningEntity::new,
                writes);
    }

    /** @param version the version that was read; missing for a new tuning */
    record OwnTuningRequest(Long version, OwnTuning tuning) {}

    @GetMapping
    List<OwnTuningView> list() {
        return tunings.all();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    OwnTuningView add(@RequestBody OwnTuningRequest request) {
        return tunings.add(request.tuning());
    }

    @PutMapping("/{id}")
    OwnTuningView change(@PathVariable long id, @RequestBody OwnTuningRequest request) {
        return tunings.change(id, request.version(), request.tuning());
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable long id) {
        tunings.remove(id);
    }

    @PostMapping("/{id}/put-back")
    OwnTuningView putBack(@PathVariable long id) {
        return tunings.putBack(id);
    }
}
