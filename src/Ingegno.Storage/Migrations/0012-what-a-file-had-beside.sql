-- Fields of a case file that this version does not know are given out again as they came.
ALTER TABLE client ADD COLUMN other TEXT NULL CHECK (other IS NULL OR json_valid(other));
