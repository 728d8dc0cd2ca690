-- What a set was asked as, once for all sets asked alike; the id is a hash of the document.
CREATE TABLE prescription (
    coach_id    TEXT    NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    id          TEXT    NOT NULL,
    document    TEXT    NOT NULL CHECK (json_valid(document)),
    PRIMARY KEY (coach_id, id)
) STRICT, WITHOUT ROWID;

ALTER TABLE set_log ADD COLUMN stopped TEXT NULL;
ALTER TABLE set_log ADD COLUMN pain_at TEXT NULL;
ALTER TABLE set_log ADD COLUMN rest_before REAL NULL;
ALTER TABLE set_log ADD COLUMN to_limit INTEGER NOT NULL DEFAULT 0 CHECK (to_limit IN (0, 1));
ALTER TABLE set_log ADD COLUMN other_side INTEGER NULL;
ALTER TABLE set_log ADD COLUMN done_at TEXT NULL;
ALTER TABLE set_log ADD COLUMN prescription TEXT NULL;

-- What a set said before it was corrected, or on the other phone: nothing that was logged is thrown away.
CREATE TABLE set_log_before (
    id          TEXT    NOT NULL,
    coach_id    TEXT    NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    client_id   TEXT    NOT NULL REFERENCES client (id) ON DELETE CASCADE,
    document    TEXT    NOT NULL CHECK (json_valid(document)),
    PRIMARY KEY (id, document)
) STRICT;

-- How a session felt, and how sore its muscles were before the next day for them.
CREATE TABLE session_note (
    coach_id    TEXT    NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    client_id   TEXT    NOT NULL REFERENCES client (id) ON DELETE CASCADE,
    session     TEXT    NOT NULL,
    performed   TEXT    NOT NULL,
    felt        TEXT    NULL,
    sore        INTEGER NULL CHECK (sore BETWEEN 0 AND 3),
    PRIMARY KEY (client_id, performed, session)
) STRICT;

CREATE TABLE pain_clearance (
    coach_id    TEXT    NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    client_id   TEXT    NOT NULL REFERENCES client (id) ON DELETE CASCADE,
    exercise    TEXT    NOT NULL,
    through     TEXT    NOT NULL,
    PRIMARY KEY (client_id, exercise)
) STRICT;

-- What the log has taught, worked out anew whenever it changes.
CREATE TABLE learned (
    client_id   TEXT    NOT NULL PRIMARY KEY REFERENCES client (id) ON DELETE CASCADE,
    coach_id    TEXT    NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    document    TEXT    NOT NULL CHECK (json_valid(document))
) STRICT;

-- A version as it was sent: later changes of the plan do not touch it.
CREATE TABLE sending (
    id           TEXT    NOT NULL PRIMARY KEY,
    coach_id     TEXT    NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    client_id    TEXT    NOT NULL REFERENCES client (id) ON DELETE CASCADE,
    sent_at      TEXT    NOT NULL,
    plan_version INTEGER NOT NULL,
    sentence     TEXT    NOT NULL,
    document     TEXT    NOT NULL CHECK (json_valid(document))
) STRICT;
CREATE INDEX sending_by_client ON sending (client_id, sent_at DESC);

-- The token itself is in the client's hands only.
CREATE TABLE link (
    id          TEXT    NOT NULL PRIMARY KEY,
    coach_id    TEXT    NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    client_id   TEXT    NOT NULL REFERENCES client (id) ON DELETE CASCADE,
    token_hash  TEXT    NOT NULL UNIQUE,
    made_at     TEXT    NOT NULL,
    expires_at  TEXT    NOT NULL,
    revoked_at  TEXT    NULL
) STRICT;
CREATE INDEX link_by_client ON link (client_id);

-- A fixture as the client checked it; the coach passes or refuses it.
CREATE TABLE fixture_report (
    id          TEXT    NOT NULL PRIMARY KEY,
    coach_id    TEXT    NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    client_id   TEXT    NOT NULL REFERENCES client (id) ON DELETE CASCADE,
    place_id    TEXT    NOT NULL,
    fixture     TEXT    NOT NULL,
    reported_on TEXT    NOT NULL,
    document    TEXT    NOT NULL CHECK (json_valid(document)),
    photo       BLOB    NULL,
    judged_at   TEXT    NULL
) STRICT;
CREATE INDEX fixture_report_by_client ON fixture_report (client_id, reported_on DESC);

-- What the coach decided, and how things stood before: every decision can be undone.
CREATE TABLE decision (
    id          TEXT    NOT NULL PRIMARY KEY,
    coach_id    TEXT    NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    client_id   TEXT    NOT NULL REFERENCES client (id) ON DELETE CASCADE,
    decided_at  TEXT    NOT NULL,
    subject     TEXT    NOT NULL,
    sentence    TEXT    NOT NULL,
    answer      TEXT    NOT NULL CHECK (answer IN ('taken', 'refused', 'later')),
    before      TEXT    NULL CHECK (before IS NULL OR json_valid(before)),
    after       TEXT    NULL CHECK (after IS NULL OR json_valid(after)),
    undone_at   TEXT    NULL
) STRICT;
CREATE INDEX decision_by_client ON decision (client_id, decided_at DESC);

-- Counts every change around a client that is not a row version of its own, so that what was worked out from it can be kept.
CREATE TABLE activity (
    client_id   TEXT    NOT NULL PRIMARY KEY REFERENCES client (id) ON DELETE CASCADE,
    coach_id    TEXT    NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    version     INTEGER NOT NULL
) STRICT;
