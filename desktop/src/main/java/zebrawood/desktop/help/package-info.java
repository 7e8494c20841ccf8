/**
 * What F1 tells of a field, a step or a page: what it is, how it is measured, why, what goes wrong.
 *
 * <p>A {@code Topic} is the longest beginning of a label's or step's key that is written about in
 * the station's {@code help.properties}; {@code HowTo} names the drawing that shows how it is
 * measured. Knows no station and no sheet.
 */
package zebrawood.desktop.help;
