/**
 * The bed sheet: gaps by place, in the way they were read, and what each screw or shim has to do.
 *
 * <p>{@code BedModel} says what is asked and what stands on the sheet, {@code BedWay} how it is
 * read, {@code BedPlan} draws the bed from above, {@code BedPractice} is a stand-in with hidden
 * tilt or warp.
 */
package zebrawood.desktop.bed;
