package underhand.fill;

import java.util.List;
import java.util.function.Function;

/**
 * A kind of fill.
 *
 * @param id as in {@code bass-walk}
 * @param name in the words of players
 * @param lowestRung first rung it suits
 * @param sketches the fills it sees in a gap; none where it has none to propose
 */
record FillRule(String id, String name, int lowestRung, Function<Gap, List<Sketch>> sketches) {}
