/**
 * The start-up sheet: the go card, one key a line, and the card for the wall.
 *
 * <p>{@code StartModel} shows the next open line large; what was proven earlier today is not asked
 * again. Its {@code DailyProof} is the guard that other stations ask before a beam is fired.
 */
package zebrawood.desktop.start;
