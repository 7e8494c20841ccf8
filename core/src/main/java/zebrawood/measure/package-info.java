/**
 * What every station needs in order to say how good a reading is: readings that refuse nonsense in
 * a plain sentence, estimates with an uncertainty, least-squares fits, and lengths as people type
 * them.
 *
 * <p>Numbers go in as doubles with the unit in their name. This package imports no other package of
 * the product, and reads neither clock nor file.
 */
package zebrawood.measure;
