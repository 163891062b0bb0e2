-- Whoever else writes the job waits until this transaction ends.
SELECT id FROM job WHERE id = $1::text FOR UPDATE
