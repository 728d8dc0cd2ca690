-- The weeks a plan is trained over: phases with their purposes, or a review date. Null until the coach has said so.
ALTER TABLE plan ADD COLUMN block TEXT NULL CHECK (block IS NULL OR json_valid(block));
