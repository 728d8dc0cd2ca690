-- The coach's own words over a client's note of changes, which were kept in one browser before.
CREATE TABLE change_words (
    client_id   TEXT    NOT NULL PRIMARY KEY,
    coach_id    TEXT    NOT NULL,
    words       TEXT    NOT NULL
) STRICT;
