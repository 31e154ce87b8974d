package underhand.server.patterns;

import underhand.server.arrangements.PatternChoiceRequest.OwnPattern;

/** A player's own pattern as the API gives it. */
record OwnPatternView(long id, long version, OwnPattern pattern) {}
