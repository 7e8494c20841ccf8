/**
 * What can be done from the palette and by keys: a command has words, keys and what it runs.
 *
 * <p>The shell and the stations each give a list; the palette shows what fits the letters typed.
 * Commands are made anew each time, so that what cannot be done now is not in the list.
 */
package zebrawood.desktop.command;
