-- A set is kept first and learned from afterwards: what was learned says how much of the log it was learned from, so that what a stop left
-- unlearned is found at the next start.
ALTER TABLE activity ADD COLUMN logged INTEGER NOT NULL DEFAULT 0;
ALTER TABLE learned ADD COLUMN logged INTEGER NOT NULL DEFAULT 0;
ALTER TABLE learned ADD COLUMN row_version INTEGER NOT NULL DEFAULT 1;
