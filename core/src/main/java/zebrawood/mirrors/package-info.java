/**
 * The mirrors: from marks to screw turns, for the whole train at once.
 *
 * <p>{@link zebrawood.mirrors.MirrorReadings} are marks on tape; {@link
 * zebrawood.mirrors.Alignment} fits both angles of both steering mirrors and the offsets of the
 * marks in one least-squares solution, and says what the screws cancel and what no screw cures.
 * {@link zebrawood.mirrors.Aperture} is the share of a beam that an aperture cuts off.
 *
 * <p>Frame: looking the way the beam travels, right and up are positive, at each mark. A fold in
 * the horizontal plane swaps right and left for what arrived displaced or angled.
 */
package zebrawood.mirrors;
