package underhand.server.textures;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import underhand.server.documents.Document;

/** A player's own texture as stored. */
@Entity
@Table(name = "own_texture")
class OwnTextureEntity extends Document<OwnTextureBody> {

    @JdbcTypeCode(SqlTypes.JSON)
    private OwnTextureBody texture;

    @Override
    protected OwnTextureBody content() {
        return texture;
    }

    @Override
    protected void put(OwnTextureBody content) {
        texture = content;
    }
}
