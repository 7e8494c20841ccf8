/**
 * What an entry keeps as text: everything typed by field name, the readings that were solved, and
 * what paper shows.
 *
 * <p>What was typed is read leniently, so that an entry of any version can be opened again.
 * Readings are asked for by their type ({@link zebrawood.records.kept.KeptReadings}); where an
 * earlier version kept others, there are none. {@link zebrawood.records.kept.StationPaper} is made
 * once, when the entry is recorded.
 */
package zebrawood.records.kept;
