-- What of an entry a list of many shows, without its readings and its finding, which are large.
CREATE INDEX entry_outline ON entry (machine_id, ord, seq, id, station, subject, kind, at,
  recorded_at, recorded_by, because, verdict, figures, replaces);

-- Pictures and files of a line of the record. What is in them is kept once, under its own sum.
CREATE TABLE content (
  sha256 TEXT PRIMARY KEY,
  bytes BLOB NOT NULL
);

CREATE TABLE attachment (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  machine_id TEXT NOT NULL,
  line_id TEXT NOT NULL,
  name TEXT NOT NULL,
  sha256 TEXT NOT NULL REFERENCES content (sha256),
  size INTEGER NOT NULL,
  recorded_at TEXT NOT NULL,
  recorded_by TEXT NOT NULL,
  version INTEGER NOT NULL
);
CREATE INDEX attachment_machine ON attachment (machine_id, line_id);

CREATE TRIGGER content_is_kept BEFORE DELETE ON content
BEGIN SELECT RAISE(ABORT, 'contents are append-only'); END;
CREATE TRIGGER content_is_final BEFORE UPDATE ON content
BEGIN SELECT RAISE(ABORT, 'contents are append-only'); END;
CREATE TRIGGER attachment_is_kept BEFORE DELETE ON attachment
BEGIN SELECT RAISE(ABORT, 'attachments are append-only'); END;
CREATE TRIGGER attachment_is_final BEFORE UPDATE ON attachment
BEGIN SELECT RAISE(ABORT, 'attachments are append-only'); END;

PRAGMA user_version = 5;
