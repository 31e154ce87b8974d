package underhand.server.songs;

/** A line of the songbook. */
record SongSummary(long id, String title, String key, String metre, int tempo, int bars, int chords, int faults) {}
