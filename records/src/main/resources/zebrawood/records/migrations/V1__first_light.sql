-- Versions of a machine's description; the newest row of an id is the machine.
CREATE TABLE machine (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL,
  recorded_at TEXT NOT NULL,
  recorded_by TEXT NOT NULL,
  body TEXT NOT NULL
);
CREATE INDEX machine_id ON machine (id, seq);

CREATE TABLE entry (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  machine_id TEXT NOT NULL,
  station TEXT NOT NULL,
  kind TEXT NOT NULL,
  at TEXT NOT NULL,
  recorded_at TEXT NOT NULL,
  recorded_by TEXT NOT NULL,
  because TEXT NOT NULL,
  readings TEXT NOT NULL,
  finding TEXT NOT NULL,
  verdict TEXT NOT NULL,
  figures TEXT NOT NULL,
  replaces TEXT
);
CREATE INDEX entry_machine ON entry (machine_id, seq);

CREATE TABLE event (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  machine_id TEXT NOT NULL,
  kind TEXT NOT NULL,
  at TEXT NOT NULL,
  recorded_at TEXT NOT NULL,
  recorded_by TEXT NOT NULL,
  note TEXT NOT NULL,
  replaces TEXT
);
CREATE INDEX event_machine ON event (machine_id, seq);

-- What is typed but not yet recorded; the only rows that change.
CREATE TABLE draft (
  machine_id TEXT NOT NULL,
  station TEXT NOT NULL,
  typed TEXT NOT NULL,
  PRIMARY KEY (machine_id, station)
);

CREATE TABLE preference (
  person TEXT NOT NULL,
  name TEXT NOT NULL,
  value TEXT NOT NULL,
  PRIMARY KEY (person, name)
);

CREATE TRIGGER machine_is_kept BEFORE DELETE ON machine
BEGIN SELECT RAISE(ABORT, 'machines are append-only'); END;
CREATE TRIGGER machine_is_final BEFORE UPDATE ON machine
BEGIN SELECT RAISE(ABORT, 'machines are append-only'); END;
CREATE TRIGGER entry_is_kept BEFORE DELETE ON entry
BEGIN SELECT RAISE(ABORT, 'entries are append-only'); END;
CREATE TRIGGER entry_is_final BEFORE UPDATE ON entry
BEGIN SELECT RAISE(ABORT, 'entries are append-only'); END;
CREATE TRIGGER event_is_kept BEFORE DELETE ON event
BEGIN SELECT RAISE(ABORT, 'events are append-only'); END;
CREATE TRIGGER event_is_final BEFORE UPDATE ON event
BEGIN SELECT RAISE(ABORT, 'events are append-only'); END;

PRAGMA user_version = 1;
