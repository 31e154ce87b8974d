package underhand.server.players;

/** A player as the API gives it. */
public record PlayerView(long id, long version, PlayerLimits limits) {}
