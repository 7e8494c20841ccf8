/**
 * The window around the sheets: top bar, beam rail, machine page, cards laid over the page
 * (palette, new machine, something happened), and what the keyboard does everywhere.
 */
package zebrawood.desktop.shell;
