-- Signed-in sessions, so that one that was ended stays ended: a cookie alone would open again.
CREATE TABLE session (
    token_hash  TEXT    NOT NULL PRIMARY KEY,
    coach_id    TEXT    NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    made_at     TEXT    NOT NULL,
    ends_at     TEXT    NOT NULL
) STRICT;
CREATE INDEX session_by_coach ON session (coach_id);

-- Another coach comes in by an invitation of the first.
CREATE TABLE invitation (
    token_hash  TEXT    NOT NULL PRIMARY KEY,
    made_by     TEXT    NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    made_at     TEXT    NOT NULL,
    expires_at  TEXT    NOT NULL,
    used_at     TEXT    NULL
) STRICT;

-- Who changed what, written with the change. No names of clients: what is erased leaves no trace here but that it was.
CREATE TABLE audit (
    id          INTEGER NOT NULL PRIMARY KEY,
    at          TEXT    NOT NULL,
    coach_id    TEXT    NOT NULL,
    coach       TEXT    NOT NULL,
    did         TEXT    NOT NULL,
    client_id   TEXT    NULL
) STRICT;
CREATE INDEX audit_by_client ON audit (client_id);
