package underhand.server.songs;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import underhand.server.arrangements.ArrangementView.FaultView;

/**
 * A song with its chart and decisions.
 *
 * @param uid its name in all books: no other song has it, also after a backup was put back
 */
record SongView(
        long id,
        UUID uid,
        long version,
        String title,
        String source,
        Decisions decisions,
        Instant changedAt,
        List<FaultView> faults) {}
