-- A client trains in several places. Position 0 is where they train now.
CREATE TABLE place (
    id          TEXT    NOT NULL PRIMARY KEY,
    coach_id    TEXT    NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    client_id   TEXT    NOT NULL REFERENCES client (id) ON DELETE CASCADE,
    position    INTEGER NOT NULL,
    document    TEXT    NOT NULL CHECK (json_valid(document)),
    row_version INTEGER NOT NULL DEFAULT 1
) STRICT;
INSERT INTO place (id, coach_id, client_id, position, document, row_version)
SELECT id, coach_id, client_id, 0,
    replace(replace(document, '"litres":', '"volume":'), '"floorSlides":true', '"floors":["wood"]'), row_version
FROM home;
DROP TABLE home;
CREATE INDEX place_by_client ON place (client_id, position);

-- House rules, weights and prices of a coach.
CREATE TABLE practice (
    coach_id    TEXT    NOT NULL PRIMARY KEY REFERENCES coach (id) ON DELETE CASCADE,
    document    TEXT    NOT NULL CHECK (json_valid(document)),
    row_version INTEGER NOT NULL DEFAULT 1
) STRICT;

-- A band or a foot takes weight off: such loads are negative.
CREATE TABLE set_log_2 (
    id          TEXT    NOT NULL PRIMARY KEY,
    coach_id    TEXT    NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    client_id   TEXT    NOT NULL REFERENCES client (id) ON DELETE CASCADE,
    line        INTEGER NOT NULL,
    exercise    TEXT    NOT NULL,
    performed   TEXT    NOT NULL,
    set_number  INTEGER NOT NULL,
    load_grams  INTEGER NOT NULL CHECK (load_grams >= -200000),
    repetitions INTEGER NOT NULL CHECK (repetitions >= 0),
    reserve     REAL    NULL,
    pain        INTEGER NOT NULL CHECK (pain BETWEEN 0 AND 10)
) STRICT;
INSERT INTO set_log_2 SELECT * FROM set_log;
DROP TABLE set_log;
ALTER TABLE set_log_2 RENAME TO set_log;
CREATE INDEX set_log_by_client ON set_log (client_id, performed DESC, line, set_number);
