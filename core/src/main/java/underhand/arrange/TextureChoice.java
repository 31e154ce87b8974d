package underhand.arrange;

import underhand.texture.Texture;

/**
 * A texture that may be chosen for a song.
 *
 * @param reason why it fits or does not, from the chart and who plays, in words
 */
public record TextureChoice(Texture texture, String reason) {}
