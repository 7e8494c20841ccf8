/**
 * The nodes of the one sheet of all stations: question, readings, picture, do next, notebook and
 * trend, always in the same places.
 *
 * <p>Makes nodes of the {@code Part}s that a model gives, keeps the order in which Enter goes
 * through them, and shows what {@code SheetModel} decided. Decides nothing itself.
 */
package zebrawood.desktop.sheet;
