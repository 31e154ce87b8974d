/**
 * What every stored thing stands on: where the book lies and whether it can be opened, room on the disk, writes that last,
 * and what a kind of thing tells of itself to be kept in backups. Knows no feature. Nothing is null unless said.
 */
package underhand.server.storage;
