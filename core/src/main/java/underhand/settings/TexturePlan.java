package underhand.settings;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import underhand.input.RangeException;
import underhand.texture.OwnTexture;
import underhand.texture.Texture;
import underhand.texture.TextureAsk;
import underhand.texture.Top;
import underhand.texture.Wishes;

/**
 * The textures of a song: one for all of it, others for some of its placements.
 *
 * @param everywhere empty while it is left open
 * @param wishes what is wished of every grip where the texture is left open
 * @param places by placement
 */
public record TexturePlan(Optional<TextureAsk> everywhere, Wishes wishes, Map<Integer, TextureAsk> places) {

    /** Whatever is least work. */
    public static final TexturePlan FREE = new TexturePlan(Optional.of(TextureAsk.FREE), Wishes.NONE, Map.of());

    private static final String AUTO = "auto";

    /** Left open: the ranking says. */
    public static final TexturePlan OPEN = new TexturePlan(Optional.empty(), Wishes.NONE, Map.of());

    /** What is wished of every grip, as somebody writes it; null for what is not wished. */
    public record Wished(String strings, Integer fromFret, Integer toFret, Boolean noDoubling, String top) {

        /** @throws RangeException naming the wish that cannot be */
        Wishes toWishes() {
            return new Wishes(
                    strings == null ? "" : strings.replaceAll("[ ,-]", ""),
                    fromFret == null ? Wishes.NONE.fromFret() : fromFret,
                    toFret == null ? Wishes.NONE.toFret() : toFret,
                    noDoubling != null && noDoubling,
                    Optional.ofNullable(top).map(Top::parse));
        }
    }

    /**
     * Reads a texture with what is wished besides.
     *
     * @param texture id of one; auto or null to leave it open
     * @throws RangeException naming what cannot be
     */
    public static TexturePlan read(String texture, Wished wished) {
        Wishes wishes = wished.toWishes();
        Optional<TextureAsk> everywhere = texture == null || texture.equals(AUTO)
                ? Optional.empty()
                : Optional.of(new TextureAsk(Texture.of(texture), wishes));
        return new TexturePlan(everywhere, wishes, Map.of());
    }

    /** What an id and wishes ask for; any grip where it is null, free, or left open. */
    public static TextureAsk ask(String texture, Wished wished) {
        return read(texture, wished).everywhere().orElseGet(() -> new TextureAsk(Texture.FREE, wished.toWishes()));
    }

    /**
     * The id of a texture a player makes, which says all of it.
     *
     * @param families of voicings taken first, by their ids; one at least
     * @param otherwise taken where a chord has no grip of those
     * @param open where open strings stand: allowed, none or bass
     * @param strings sets of strings, numbers from the highest as 1, such as 5432; none for any
     * @param voices strings a chord sounds on; empty for as many as there are
     * @param led whether its voices move as little as they can
     * @throws RangeException naming what cannot be
     */
    public static String own(
            List<String> families,
            List<String> otherwise,
            String open,
            List<String> strings,
            OptionalInt voices,
            boolean led) {
        return new OwnTexture(families, otherwise, open, strings, voices, led).id();
    }

    /** The same with another texture at some placements; left as it is there where the id is auto. */
    public TexturePlan with(String texture, Stream<Integer> placements) {
        if (texture.equals(AUTO)) {
            return this;
        }
        TextureAsk ask = new TextureAsk(Texture.of(texture), wishes);
        Map<Integer, TextureAsk> other = new HashMap<>(places);
        placements.forEach(placement -> other.put(placement, ask));
        return new TexturePlan(everywhere, wishes, other);
    }

    public TexturePlan {
        Objects.requireNonNull(everywhere, "everywhere");
        Objects.requireNonNull(wishes, "wishes");
        places = Map.copyOf(places);
    }

    /** The same with the song's texture chosen. */
    public TexturePlan with(TextureAsk ask) {
        return new TexturePlan(Optional.of(ask), wishes, places);
    }

    /** What is asked at a placement; anything while it is left open. */
    public TextureAsk at(int placement) {
        return places.getOrDefault(placement, everywhere.orElse(TextureAsk.FREE));
    }

    /** Whether no grip of the song has an open string to be won by a capo. */
    public boolean isClosed() {
        return everywhere.filter(ask -> ask.texture().isClosed()).isPresent()
                && places.values().stream().allMatch(ask -> ask.texture().isClosed());
    }
}
