-- A plan is rebuilt once per place of the client; a line keeps its number in all of them, so its log is one history.
ALTER TABLE plan ADD COLUMN place TEXT NULL;
ALTER TABLE plan ADD COLUMN place_name TEXT NOT NULL DEFAULT '';
ALTER TABLE plan ADD COLUMN elsewhere TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(elsewhere));
