/** What can be done from the palette and by keys: the shell's own commands and the stations'. */
package zebrawood.desktop.command;
