package underhand.server.textures;

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

/** Players' own textures over HTTP; a write over a newer version is refused with both. */
@RestController
@RequestMapping("/api/v1/own-textures")
class OwnTextureController {

    private static final int MOST = 100;

    private final Keeper<OwnTextureBody, OwnTextureView> textures;

    OwnTextureController(OwnTextureRepository textures, Writes writes) {
        this.textures = new Keeper<>(
                new Kind<>("own texture", "texture", MOST, OwnTextureBody::toId, OwnTextureView::new),
                textures,
                OwnTextureEntity::new,
                writes);
    }

    /** @param version the version that was read; missing for a new texture */
    record OwnTextureRequest(Long version, OwnTextureBody texture) {}

    @GetMapping
    List<OwnTextureView> list() {
        return textures.all();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    OwnTextureView add(@RequestBody OwnTextureRequest request) {
        return textures.add(request.texture());
    }

    @PutMapping("/{id}")
    OwnTextureView change(@PathVariable long id, @RequestBody OwnTextureRequest request) {
        return textures.change(id, request.version(), request.texture());
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable long id) {
        textures.remove(id);
    }

    @PostMapping("/{id}/put-back")
    OwnTextureView putBack(@PathVariable long id) {
        return textures.putBack(id);
    }
}
