package underhand.server.songs;

import io.swagger.v3.oas.annotations.media.Schema;

/**
 * What a version keeps of its part.
 *
 * @param part null for a version from before parts were kept
 * @param current whether today's planner planned it, and would plan it so again
 */
record PlannedView(@Schema(nullable = true) PlannedPart part, boolean current) {}
