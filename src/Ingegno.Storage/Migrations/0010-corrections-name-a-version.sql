-- A correction names the version of the set that it changes; no phone's clock decides what holds.
ALTER TABLE set_log ADD COLUMN version INTEGER NOT NULL DEFAULT 1 CHECK (version >= 1);
ALTER TABLE set_log ADD COLUMN kept_at TEXT NULL;
ALTER TABLE set_log ADD COLUMN kept_by TEXT NULL;

-- Repetitions left as said: from reserve to reserve_most, or reserve and more where that is null.
-- The phone's last answer was "4 or more" until now, and was read so wherever it came from.
ALTER TABLE set_log ADD COLUMN reserve_most REAL NULL;
UPDATE set_log SET reserve_most = reserve WHERE reserve < 4;

-- What was said of a set by somebody who had not seen what stands: kept until the coach says which holds.
CREATE TABLE set_conflict (
    id          TEXT    NOT NULL PRIMARY KEY,
    coach_id    TEXT    NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    client_id   TEXT    NOT NULL REFERENCES client (id) ON DELETE CASCADE,
    set_id      TEXT    NOT NULL,
    document    TEXT    NOT NULL CHECK (json_valid(document)),
    came_by     TEXT    NOT NULL,
    came_at     TEXT    NOT NULL,
    settled_at  TEXT    NULL
) STRICT;
CREATE INDEX set_conflict_by_client ON set_conflict (client_id, settled_at);
