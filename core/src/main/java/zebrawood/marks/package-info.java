/**
 * Marks that were burnt in a grid, found in a photograph or scan to a fraction of a pixel.
 *
 * <p>Dark places are smoothed and joined to a net from neighbour to neighbour; a cubic map through
 * the net tells where each mark must be, so that missing and doubled marks are named and not
 * guessed. Places are in pixels from the upper left, grid places are counted from the lower left,
 * from 0. What field and camera share stands here and knows neither.
 */
package zebrawood.marks;
