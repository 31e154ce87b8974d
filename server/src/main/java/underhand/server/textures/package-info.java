/** Kinds of part that players have made. */
package underhand.server.textures;
