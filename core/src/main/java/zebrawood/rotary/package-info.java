/**
 * Work that is turned under the beam: how many steps turn a millimetre of it, does a picture round
 * it close, how wide a strip stays in focus, and what a cone does to it?
 *
 * <p>{@link zebrawood.rotary.Rotary} weighs what a diameter, a line once round and a length say.
 */
package zebrawood.rotary;
