-- One plan in force a client, as one document; before, it lay in pieces.
CREATE TABLE plan_2 (
    id          TEXT    NOT NULL PRIMARY KEY,
    coach_id    TEXT    NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    client_id   TEXT    NOT NULL REFERENCES client (id) ON DELETE CASCADE,
    document    TEXT    NOT NULL CHECK (json_valid(document)),
    row_version INTEGER NOT NULL DEFAULT 1,
    UNIQUE (client_id)
) STRICT;

-- Everything that ever changed it, oldest first. Nothing is taken off: what is undone is followed by its inverse.
CREATE TABLE plan_change (
    id            TEXT    NOT NULL PRIMARY KEY,
    coach_id      TEXT    NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    client_id     TEXT    NOT NULL REFERENCES client (id) ON DELETE CASCADE,
    place_in_list INTEGER NOT NULL,
    kind          TEXT    NOT NULL,
    document      TEXT    NOT NULL CHECK (json_valid(document)),
    UNIQUE (client_id, place_in_list)
) STRICT;

-- What a decision is about, as typed subjects; and the changes of the plan that came of it.
ALTER TABLE decision ADD COLUMN about TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(about));
ALTER TABLE decision ADD COLUMN command TEXT NULL;
