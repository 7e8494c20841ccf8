-- What paper shows of an entry beside its figures, made once when it was recorded: its drawing,
-- what was proven, settings, caution. Apart from the entry, since it is large and only paper reads it.
CREATE TABLE entry_paper (
  entry_id TEXT PRIMARY KEY REFERENCES entry (id),
  body TEXT NOT NULL,
  version INTEGER NOT NULL
);

CREATE TRIGGER entry_paper_is_kept BEFORE DELETE ON entry_paper
BEGIN SELECT RAISE(ABORT, 'paper is append-only'); END;
CREATE TRIGGER entry_paper_is_final BEFORE UPDATE ON entry_paper
BEGIN SELECT RAISE(ABORT, 'paper is append-only'); END;

PRAGMA user_version = 3;
