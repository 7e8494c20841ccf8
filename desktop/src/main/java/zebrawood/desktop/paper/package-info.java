/**
 * What is printed: the hand-over sheet and the machine's card take what the entries hold.
 *
 * <p>Nothing is solved here. A drawing, the proofs, the settings and the caution of an entry were
 * made once, when it was recorded ({@code zebrawood.desktop.station.PaperMaker}), and are kept
 * beside it in the workshop file.
 */
package zebrawood.desktop.paper;
