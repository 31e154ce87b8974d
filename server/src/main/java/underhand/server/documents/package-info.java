/**
 * Things people write and change that are one document each: players, guitars, patterns. A kind of them is a table, an entity
 * and a {@link underhand.server.documents.Keeper}; numbering, stale writes and backup are the same for all.
 */
package underhand.server.documents;
