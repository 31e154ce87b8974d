package underhand.server.players;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import underhand.server.documents.Document;

/** A player as stored. */
@Entity
@Table(name = "player")
class PlayerEntity extends Document<PlayerLimits> {

    @JdbcTypeCode(SqlTypes.JSON)
    private PlayerLimits limits;

    @Override
    protected PlayerLimits content() {
        return limits;
    }

    @Override
    protected void put(PlayerLimits content) {
        limits = content;
    }
}
