CREATE TABLE coach (
    id            TEXT    NOT NULL PRIMARY KEY,
    email         TEXT    NOT NULL UNIQUE COLLATE NOCASE,
    name          TEXT    NOT NULL,
    password_hash TEXT    NOT NULL,
    created_at    TEXT    NOT NULL
) STRICT;

-- The profile is one JSON document in the case file's shape: it is always read and written whole.
CREATE TABLE client (
    id          TEXT    NOT NULL PRIMARY KEY,
    coach_id    TEXT    NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    profile     TEXT    NOT NULL CHECK (json_valid(profile)),
    row_version INTEGER NOT NULL DEFAULT 1,
    created_at  TEXT    NOT NULL
) STRICT;
CREATE INDEX client_by_coach ON client (coach_id);

CREATE TABLE home (
    id          TEXT    NOT NULL PRIMARY KEY,
    coach_id    TEXT    NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    client_id   TEXT    NOT NULL REFERENCES client (id) ON DELETE CASCADE,
    document    TEXT    NOT NULL CHECK (json_valid(document)),
    row_version INTEGER NOT NULL DEFAULT 1,
    UNIQUE (client_id)
) STRICT;

-- What stands on the bench: the text as typed, the choices made by hand, and the frozen prescription.
CREATE TABLE plan (
    id          TEXT    NOT NULL PRIMARY KEY,
    coach_id    TEXT    NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    client_id   TEXT    NOT NULL REFERENCES client (id) ON DELETE CASCADE,
    text        TEXT    NOT NULL,
    choices     TEXT    NOT NULL CHECK (json_valid(choices)),
    sessions    TEXT    NOT NULL CHECK (json_valid(sessions)),
    saved_at    TEXT    NULL,
    row_version INTEGER NOT NULL DEFAULT 1,
    UNIQUE (client_id)
) STRICT;

-- One row a set. The id is made where the set was logged, so a resend changes nothing.
CREATE TABLE set_log (
    id          TEXT    NOT NULL PRIMARY KEY,
    coach_id    TEXT    NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    client_id   TEXT    NOT NULL REFERENCES client (id) ON DELETE CASCADE,
    line        INTEGER NOT NULL,
    exercise    TEXT    NOT NULL,
    performed   TEXT    NOT NULL,
    set_number  INTEGER NOT NULL,
    load_grams  INTEGER NOT NULL CHECK (load_grams >= 0),
    repetitions INTEGER NOT NULL CHECK (repetitions >= 0),
    reserve     REAL    NULL,
    pain        INTEGER NOT NULL CHECK (pain BETWEEN 0 AND 10)
) STRICT;
CREATE INDEX set_log_by_client ON set_log (client_id, performed DESC, line, set_number);
