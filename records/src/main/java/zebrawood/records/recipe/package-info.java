/** Charts of recipes as files. */
package zebrawood.records.recipe;
