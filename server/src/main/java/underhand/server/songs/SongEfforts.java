package underhand.server.songs;

import java.util.List;
import underhand.server.arrangements.ArrangementService;

/** What a song asks of a hand on each rung, as it is stored. */
record SongEfforts(List<ArrangementService.RungEffort> rungs) {}
