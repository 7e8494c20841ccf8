/**
 * The cards on a sheet: a card planned and written, read by eye or from a scan, chosen from and
 * kept in the settings book; a kept card burnt again; one burn logged. Knows no scene.
 */
package zebrawood.desktop.cards;
