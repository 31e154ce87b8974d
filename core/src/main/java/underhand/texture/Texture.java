package underhand.texture;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;
import underhand.input.RangeException;
import underhand.neck.Shape;
import underhand.table.Table;

/**
 * A kind of part, {@code textures.csv}.
 *
 * @param families those taken, and where a chord has no grip of them, those taken next; none at all for any grip
 * @param aboveBass the same above a bass player
 * @param strings sets of strings a grip sounds on, numbers from the highest as 1; none for any
 * @param voices strings a chord is to sound on; empty for as many as the setting asks for
 * @param led whether the voices move as little as they can
 * @param lowestRung the first rung whose hand plays it
 * @param words what it is
 */
public record Texture(
        String id,
        List<Set<Family>> families,
        List<Set<Family>> aboveBass,
        OpenStrings open,
        List<String> strings,
        OptionalInt voices,
        boolean led,
        int lowestRung,
        String words) {

    /** Where open strings stand. */
    public enum OpenStrings {
        ALLOWED,
        NONE,
        /** As the lowest note alone. */
        BASS
    }

    /** Before a number of strings: so many from the lowest, however many there are. */
    static final String LOWEST = "low";

    private static final Map<String, Texture> BY_ID = new LinkedHashMap<>();

    static {
        Table.read(Texture.class, "textures.csv", 9, Texture::read).forEach(t -> BY_ID.put(t.id(), t));
    }

    /** Whatever is least work. */
    public static final Texture FREE = BY_ID.get("free");

    private static Texture read(Table.Row row) {
        return new Texture(
                row.cell(0),
                tiers(row.cell(1)),
                tiers(row.cell(2)),
                OpenStrings.valueOf(row.cell(3).toUpperCase(Locale.ROOT)),
                row.cell(4).equals("all") ? List.of() : row.words(4),
                row.cell(5).equals("all") ? OptionalInt.empty() : OptionalInt.of(row.number(5)),
                row.cell(6).equals("yes"),
                row.number(7),
                row.cell(8));
    }

    static List<Set<Family>> tiers(String cell) {
        return cell.equals("any")
                ? List.of()
                : Arrays.stream(cell.split(">"))
                        .map(tier -> (Set<Family>)
                                EnumSet.copyOf(Arrays.stream(tier.trim().split(" "))
                                        .map(Family::parse)
                                        .toList()))
                        .toList();
    }

    /**
     * A texture by its id; a player's own is its own description, {@link OwnTexture}.
     *
     * @throws RangeException naming those there are, or what of an own one cannot be
     */
    public static Texture of(String id) {
        if (OwnTexture.is(id)) {
            return OwnTexture.parse(id);
        }
        Texture texture = BY_ID.get(id);
        if (texture == null) {
            throw RangeException.outside("texture", id, "auto, " + String.join(", ", BY_ID.keySet()));
        }
        return texture;
    }

    public static List<Texture> all() {
        return List.copyOf(BY_ID.values());
    }

    /** Whether chords are to sound whole, as they do when nobody asks for a kind of part. */
    public boolean isWhole() {
        return voices.isEmpty();
    }

    public boolean isFree() {
        return families.isEmpty();
    }

    /** Whether its grips have no open strings, so that a capo changes nothing in them. */
    public boolean isClosed() {
        return open == OpenStrings.NONE;
    }

    /** Whether its grips are one shape on the lowest strings that slides, wherever on the neck it is. */
    public boolean slides() {
        return strings.stream().anyMatch(set -> set.startsWith(LOWEST));
    }

    List<Set<Family>> tiers(boolean bassElsewhere) {
        return bassElsewhere ? aboveBass : families;
    }

    boolean allowsOpen(Shape shape) {
        return switch (open) {
            case ALLOWED -> true;
            case NONE -> shape.openStrings() == 0;
            case BASS ->
                shape.openStrings() <= (shape.fret(shape.lowestSounding().orElse(0)) == 0 ? 1 : 0);
        };
    }

    /** Its name in a sentence. */
    String title() {
        return OwnTexture.is(id) ? words : id;
    }

    /** Strings its grips sound on at least. */
    int fewestStrings() {
        return Stream.of(families, aboveBass)
                .flatMap(tiers -> tiers.stream().limit(1))
                .flatMap(Set::stream)
                .mapToInt(Family::fewestStrings)
                .min()
                .orElse(2);
    }

    /** An id says all of it: what is looked up a thousand times a part is told by that. */
    @Override
    public boolean equals(Object other) {
        return this == other || other instanceof Texture texture && texture.id.equals(id);
    }

    @Override
    public int hashCode() {
        return id.hashCode();
    }
}
