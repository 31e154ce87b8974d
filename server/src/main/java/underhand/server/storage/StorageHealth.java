package underhand.server.storage;

import org.springframework.boot.actuate.health.Health;
import org.springframework.boot.actuate.health.HealthIndicator;
import org.springframework.stereotype.Component;

/** Says that nothing can be stored, and why. */
@Component("storage")
class StorageHealth implements HealthIndicator {

    private final Room room;

    StorageHealth(Room room) {
        this.room = room;
    }

    @Override
    public Health health() {
        return room.missing()
                .map(reason ->
                        Health.down().withDetail("reason", reason.words()).build())
                .orElseGet(() -> Health.up().build());
    }
}
