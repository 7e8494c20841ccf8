/**
 * Burns on printed targets of paper, read from a photograph: where each lies in mm from the
 * target's middle, how large it is, and whether the beam was cut. Needs no ruler. It knows nothing
 * of mirrors: what a mark is of is the caller's to say.
 */
package zebrawood.tape;
