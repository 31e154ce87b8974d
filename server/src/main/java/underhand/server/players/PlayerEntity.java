package underhand.server.players;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A player as stored. */
@Entity
@Table(name = "player")
class PlayerEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @Version
    private long version;

    @JdbcTypeCode(SqlTypes.JSON)
    private PlayerLimits limits;

    private Instant changedAt;

    protected PlayerEntity() {}

    PlayerEntity(PlayerLimits limits) {
        change(limits);
    }

    final void change(PlayerLimits newLimits) {
        limits = newLimits;
        changedAt = Instant.now();
    }

    long version() {
        return version;
    }

    PlayerView view() {
        return new PlayerView(id, version, limits);
    }
}
