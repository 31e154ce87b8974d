package underhand.server.songs;

import java.time.Instant;

/** A version of an arrangement as the API gives it. */
record VersionView(long id, String name, String source, Decisions decisions, Instant createdAt) {}
