/**
 * Upkeep: what is due, on which day, what is done together, and did it help?
 *
 * <p>Each task has an interval by the calendar, by hours of beam, or both; how it was found makes
 * it longer or shorter ({@link zebrawood.upkeep.Interval}). Hours become days by the counter's pace
 * ({@link zebrawood.upkeep.Pace}). {@link zebrawood.upkeep.Upkeep} says when each task is due and
 * plans visits; {@link zebrawood.upkeep.UpkeepVisit} is all of one visit: what was done, how it was
 * found, and by {@link zebrawood.upkeep.CleaningProof} whether cleaning helped.
 */
package zebrawood.upkeep;
