package underhand.server.textures;

import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import underhand.server.documents.DocumentCalls;
import underhand.server.documents.Keeper;
import underhand.server.documents.Keeper.Kind;
import underhand.server.storage.Writes;

/** Players' own textures over HTTP. */
@RestController
@RequestMapping("/api/v1/own-textures")
class OwnTextureController
        extends DocumentCalls<OwnTextureBody, OwnTextureView, OwnTextureController.OwnTextureRequest> {

    private static final int MOST = 100;

    OwnTextureController(OwnTextureRepository textures, Writes writes) {
        super(new Keeper<>(
                new Kind<>("own texture", "texture", MOST, OwnTextureBody::toId, OwnTextureView::new),
                textures,
                OwnTextureEntity::new,
                writes));
    }

    /** @param version the version that was read; missing for a new texture */
    record OwnTextureRequest(Long version, OwnTextureBody texture) implements Sent<OwnTextureBody> {
        @Override
        public OwnTextureBody content() {
            return texture;
        }
    }
}
