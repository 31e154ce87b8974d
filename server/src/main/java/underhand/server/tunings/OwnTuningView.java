package underhand.server.tunings;

/** A player's own tuning as the API gives it. */
record OwnTuningView(long id, long version, OwnTuning tuning) {}
