/**
 * One whole machine to practise on, from the crate to the hand-over, and on a bad day.
 *
 * <p>A {@link zebrawood.devices.whole.CaseStart} hides what is wrong in a {@link
 * zebrawood.devices.whole.WholeMachine}; a {@link zebrawood.devices.whole.CaseRun} takes {@link
 * zebrawood.devices.whole.Deed}s one after another, lets time pass, says what is seen, and stops
 * where somebody would have been hurt or something broken. {@link zebrawood.devices.whole.Adviser}
 * says what to do next of what was seen alone; {@link zebrawood.devices.whole.Score} holds the run
 * against the truth. Nothing here is recorded anywhere.
 */
package zebrawood.devices.whole;
