-- The log is append-only: what was played is never rewritten. Deleting stays possible for
-- erasing a person on request.
CREATE TRIGGER `log_entry_append_only` BEFORE UPDATE ON `log_entry`
BEGIN
  SELECT RAISE(ABORT, 'log entries are append-only');
END;
