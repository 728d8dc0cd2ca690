-- A sheet and a calendar each have a link of their own; a calendar's reads the days and nothing else.
ALTER TABLE link ADD COLUMN purpose TEXT NOT NULL DEFAULT 'training' CHECK (purpose IN ('training', 'sheet', 'calendar'));
