package zebrawood.records.workshop;

import zebrawood.ledger.Recorded;

/** A line of the record that has all words that were looked for. */
public record Hit(String machineId, Recorded line) {}
