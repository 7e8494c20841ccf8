/** Visits of upkeep as a calendar file, and as a list on paper. */
package zebrawood.records.upkeep;
