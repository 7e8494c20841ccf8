/**
 * The parts that every station sheet is made of: question, readings, picture, do-next, notebook and
 * trend, always in the same places.
 */
package zebrawood.desktop.sheet;
