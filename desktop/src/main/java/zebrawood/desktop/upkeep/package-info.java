/**
 * The sheet of upkeep: what is due, how it was found, whether cleaning helped, what is on the
 * shelf. When each task was done last follows from the visits on record ({@link
 * zebrawood.desktop.upkeep.PastVisits}).
 */
package zebrawood.desktop.upkeep;
