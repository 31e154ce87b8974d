package underhand.server.players;

/** A guitar as the API gives it. */
public record GuitarView(long id, long version, GuitarBuild build) {}
