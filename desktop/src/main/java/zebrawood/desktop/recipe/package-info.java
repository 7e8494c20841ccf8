/** Recipes of a cutting head, on a sheet. */
package zebrawood.desktop.recipe;
