package underhand.server.players;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;

/** A player as stored. */
@Entity
@Table(name = "player")
class PlayerEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @Version
    private long version;

    private String name;
    private int rung;
    private double comfortableMm;
    private double widestMm;
    private boolean thumb;
    private double changeFactor;

    protected PlayerEntity() {}

    PlayerEntity(PlayerLimits limits) {
        change(limits);
    }

    final void change(PlayerLimits limits) {
        name = limits.name();
        rung = limits.rung();
        comfortableMm = limits.comfortableMm();
        widestMm = limits.widestMm();
        thumb = limits.thumb();
        changeFactor = limits.changeFactor();
    }

    long version() {
        return version;
    }

    PlayerView view() {
        return new PlayerView(id, version, new PlayerLimits(name, rung, comfortableMm, widestMm, thumb, changeFactor));
    }
}
