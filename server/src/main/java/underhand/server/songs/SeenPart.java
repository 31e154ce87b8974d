package underhand.server.songs;

import java.util.List;
import java.util.Optional;
import underhand.arrange.Arrangement;

/**
 * The part of a song that was last looked at.
 *
 * @param version of the song it was planned for
 * @param shapes of all places, an empty one where nothing is played
 */
record SeenPart(long version, int capo, List<String> shapes) {

    static SeenPart of(long version, Arrangement part) {
        return new SeenPart(
                version,
                part.capo(),
                part.placements().stream()
                        .map(p -> p.grip().map(g -> g.grip().shape().toString()).orElse(""))
                        .toList());
    }

    /** What is played otherwise than before; empty when all is alike, or when the song itself was changed in between. */
    Optional<PartChange> changed(SeenPart before) {
        if (before.version() != version || before.shapes().size() != shapes.size()) {
            return Optional.empty();
        }
        int other = 0;
        for (int i = 0; i < shapes.size(); i++) {
            other += shapes.get(i).equals(before.shapes().get(i)) ? 0 : 1;
        }
        return other > 0 || capo != before.capo()
                ? Optional.of(new PartChange(before.capo(), capo, other, shapes.size()))
                : Optional.empty();
    }

    /**
     * How a part became another one.
     *
     * @param grips places with another grip, of so many places
     */
    record PartChange(int capoBefore, int capo, int grips, int places) {}
}
