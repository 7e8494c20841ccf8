/**
 * The first real piece before hand-over: is it as large as it was drawn, cut through where it was
 * cut, upright at its edges, and can everything on it be read?
 *
 * <p>Each reading is judged against its limit with its uncertainty ({@link
 * zebrawood.trial.TrialPiece}); what fails names the station that it points to.
 */
package zebrawood.trial;
