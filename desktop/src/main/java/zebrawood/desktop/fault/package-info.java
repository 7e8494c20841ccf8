/**
 * The sheet of the fault finder: what is seen, squares over the bed, tests answered by a key each,
 * what it may be, what was mended, the proof. What the record says of each cause is looked up by
 * {@link zebrawood.desktop.fault.RecordPriors}. Knows no scene.
 */
package zebrawood.desktop.fault;
