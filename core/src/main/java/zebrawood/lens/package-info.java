/**
 * What does a lens do to the beam: spot, depth, taper, field, and which lens is for which job?
 *
 * <p>{@link zebrawood.lens.LensOptics} turns a beam and a lens into a spot and its depth; what is
 * drawn, compared and chosen from follows from these figures.
 *
 * <p>May use the machine, measuring, the ledger and words; no other station, no files, no clock.
 */
package zebrawood.lens;
