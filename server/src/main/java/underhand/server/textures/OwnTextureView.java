package underhand.server.textures;

/**
 * A player's own texture as the API gives it.
 *
 * @param id of the stored document
 * @param says the texture as a song's decisions hold it: all of it, so that it stays when this is removed
 */
record OwnTextureView(long id, long version, OwnTextureBody texture, String says) {

    OwnTextureView(long id, long version, OwnTextureBody texture) {
        this(id, version, texture, texture.toId());
    }
}
