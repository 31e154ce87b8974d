package underhand.server.songs;

import java.time.Instant;

/**
 * A song that was removed and can be put back.
 *
 * @param until when it is gone for good
 */
record RemovedSongView(long id, String title, Instant removedAt, Instant until) {}
