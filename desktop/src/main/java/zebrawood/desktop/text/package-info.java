/** The interface's words, kept in one bundle. */
package zebrawood.desktop.text;
