/**
 * The bed station: is the bed parallel to the head, everywhere, and what makes it so?
 *
 * <p>Gaps read at places on the bed become a plane by least squares. {@link
 * zebrawood.bed.Levelling} turns the plane into turns of levelling screws, {@link
 * zebrawood.bed.Shimming} into shims under a bed without screws or under the column of a fixed
 * galvo head, and {@link zebrawood.measure.ShimStacks} those into stacks of what is at hand. {@link
 * zebrawood.bed.FeelCheck} judges a gauge that is only felt, without figures.
 *
 * <p>Method: 1. heights are gaps with the sign turned; 2. the plane of the heights gives the slopes
 * and, at each screw or foot, how far it is from the common height; 3. what the plane leaves over
 * is warp, which neither screw nor shim cures; 4. the verdict compares highest less lowest, now and
 * as predicted, with the tolerance, and with what the gauge can tell apart.
 *
 * <p>The plate is taken as stiff. May import {@code zebrawood.machine}, {@code measure} and {@code
 * ledger} only.
 */
package zebrawood.bed;
