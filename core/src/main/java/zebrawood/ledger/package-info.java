/**
 * The record of a machine and what follows from it: entries (what was read and found), events (what
 * happened to the machine), and the standing of each station, which is a pure function of machine,
 * entries, events and date. Nothing is overwritten: a correction is an entry that replaces another
 * by its id, an undo is one that withdraws it.
 *
 * <p>This package knows no station by name. A station describes itself ({@link
 * zebrawood.ledger.Station}): where it applies, what it rests on, and which events put it in doubt.
 */
package zebrawood.ledger;
