-- What the last step read from the old tables is done with; a set has one row, whoever sent it how often.
DROP TABLE plan;
ALTER TABLE plan_2 RENAME TO plan;
ALTER TABLE decision DROP COLUMN subject;
CREATE UNIQUE INDEX set_log_slot ON set_log (client_id, performed, line, exercise, set_number);
