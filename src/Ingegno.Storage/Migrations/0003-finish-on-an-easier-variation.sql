-- Repetitions a set was finished with on an easier variation: seven full, four kneeling. Counted apart, never as whole ones.
ALTER TABLE set_log ADD COLUMN finished INTEGER NOT NULL DEFAULT 0 CHECK (finished BETWEEN 0 AND 200);
