/** Recipes of a cutting head: what a sheet is cut with, changing over, and what its edge shows. */
package zebrawood.recipe;
