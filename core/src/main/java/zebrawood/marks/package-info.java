/**
 * Marks on a sheet, found in a photograph or scan to a fraction of a pixel.
 *
 * <p>Ink is what is narrower than a mark's line and darker than the sheet about it, so that tone
 * and shade fall away ({@link zebrawood.marks.Ink}); a mark is told by its shape, at several sizes:
 * crosses and dots that were burnt ({@link zebrawood.marks.MarkShapes}), discs and rings that were
 * printed ({@link zebrawood.marks.RoundMarks}). Of marks in a grid, nets grow by what is known near
 * each mark, and of all nets the one counts whose marks answer most ({@link
 * zebrawood.marks.Lattice}); a smooth map through it, robust against what lies far off, tells where
 * each mark must be, so that missing marks are named and not guessed. Places are in pixels from the
 * upper left, grid places are counted from the lower left, from 0. What field, camera, cards and
 * tape share stands here and knows none of them.
 */
package zebrawood.marks;
