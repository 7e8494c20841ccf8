-- What counts is the order of writing, one for entries and events together: ord. What version 1
-- wrote is ordered by what its clock said. Subjects, and the version of what is kept in a row.
DROP TRIGGER machine_is_final;
DROP TRIGGER entry_is_final;
DROP TRIGGER event_is_final;

ALTER TABLE machine ADD COLUMN version INTEGER NOT NULL DEFAULT 1;
ALTER TABLE entry ADD COLUMN version INTEGER NOT NULL DEFAULT 1;
ALTER TABLE entry ADD COLUMN ord INTEGER;
ALTER TABLE entry ADD COLUMN subject TEXT;
ALTER TABLE event ADD COLUMN version INTEGER NOT NULL DEFAULT 1;
ALTER TABLE event ADD COLUMN ord INTEGER;
ALTER TABLE event ADD COLUMN details TEXT;

CREATE TEMP TABLE written AS
  SELECT id, ROW_NUMBER() OVER (ORDER BY recorded_at, kind, seq) AS ord
  FROM (SELECT id, recorded_at, 0 AS kind, seq FROM entry
        UNION ALL SELECT id, recorded_at, 1 AS kind, seq FROM event);
UPDATE entry SET ord = (SELECT ord FROM written w WHERE w.id = entry.id);
UPDATE event SET ord = (SELECT ord FROM written w WHERE w.id = event.id);
DROP TABLE written;

CREATE INDEX entry_order ON entry (ord);
CREATE INDEX event_order ON event (ord);

CREATE TRIGGER machine_is_final BEFORE UPDATE ON machine
BEGIN SELECT RAISE(ABORT, 'machines are append-only'); END;
CREATE TRIGGER entry_is_final BEFORE UPDATE ON entry
BEGIN SELECT RAISE(ABORT, 'entries are append-only'); END;
CREATE TRIGGER event_is_final BEFORE UPDATE ON event
BEGIN SELECT RAISE(ABORT, 'events are append-only'); END;

PRAGMA user_version = 2;
