package underhand.server.songs;

import java.time.Instant;
import java.util.List;
import underhand.server.arrangements.ArrangementView.FaultView;

/** A song with its chart and decisions. */
record SongView(
        long id,
        long version,
        String title,
        String source,
        Decisions decisions,
        Instant changedAt,
        List<FaultView> faults) {}
