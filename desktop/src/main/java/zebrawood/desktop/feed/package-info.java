/** Passing a long piece through, on a sheet. Knows no scene. */
package zebrawood.desktop.feed;
