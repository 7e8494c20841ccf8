/**
 * Cards and the settings book as files: a card as G-code, SVG, DXF, a table to type from and a
 * printed legend; the book as CSV and JSON both ways, and as a card for the shelf.
 */
package zebrawood.records.cards;
