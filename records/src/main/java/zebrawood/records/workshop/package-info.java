/**
 * The workshop file: one SQLite database with all machines, entries, events, unrecorded drafts and
 * the preferences of those who use it. Entries and events are append-only by triggers in the file
 * itself; what {@link zebrawood.records.workshop.Workshop#record} returned from is on the disk.
 */
package zebrawood.records.workshop;
