/** What a part is made of: families of voicings by their structure, textures of them, and what a player wishes besides. */
package underhand.texture;
