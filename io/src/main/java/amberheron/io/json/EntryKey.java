package amberheron.io.json;

/**
 * Names one entry into one job, so that a book that has taken it knows it again when it is sent a second time.
 *
 * @param writer random name of the window or program that made it
 * @param number counts the writer's entries; a later entry into the same job holds all that an earlier one held
 */
public record EntryKey(String writer, long number) {
}
