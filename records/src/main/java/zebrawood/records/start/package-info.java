/**
 * The go card for the wall, as a page.
 *
 * <p>One line a proof, in the order of the work, with room for a date and initials.
 */
package zebrawood.records.start;
