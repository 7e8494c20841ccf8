/**
 * {@code zebrawood solve STATION}: a station's computation without the interface, JSON to JSON.
 *
 * <p>One document, or one a line on all cores with the answers in the order of the lines. A line of
 * any length or kind is answered or refused in one sentence; none takes more memory than it may.
 */
package zebrawood.desktop.solve;
