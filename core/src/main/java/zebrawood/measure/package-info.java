/**
 * What every station needs in order to say how good a reading is: readings that refuse nonsense in
 * a plain sentence, estimates with an uncertainty, least-squares fits, stacks of shims.
 *
 * <p>Numbers go in as doubles with the unit in their name. Imports {@code zebrawood.quantity} and
 * {@code zebrawood.words} only, and reads neither clock nor file.
 */
package zebrawood.measure;
