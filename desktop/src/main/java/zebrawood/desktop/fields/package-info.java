/**
 * What is typed into a field: the text, what was understood, and whether it can be used; and the
 * field that shows it.
 */
package zebrawood.desktop.fields;
