/**
 * Finds the words of every station's bundle in the language and the units of the window; days,
 * states and subjects in words.
 *
 * <p>One phrasebook is in use at a time, on the interface's thread; whatever is shown asks it when
 * it is shown.
 */
package zebrawood.desktop.text;
