-- A sum behind every row of a machine's record, over the sum before it and all that the row says.
CREATE TABLE chain (
  seq INTEGER PRIMARY KEY,
  machine_id TEXT NOT NULL,
  kind TEXT NOT NULL,
  row_seq INTEGER NOT NULL,
  digest TEXT NOT NULL
);
CREATE INDEX chain_machine ON chain (machine_id, seq);

CREATE TRIGGER chain_is_kept BEFORE DELETE ON chain
BEGIN SELECT RAISE(ABORT, 'sums are append-only'); END;
CREATE TRIGGER chain_is_final BEFORE UPDATE ON chain
BEGIN SELECT RAISE(ABORT, 'sums are append-only'); END;

PRAGMA user_version = 4;
