/** The start-up sheet: the go card, one key a line, and the card for the wall. */
package zebrawood.desktop.start;
