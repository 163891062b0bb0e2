-- One statement for what every change does: keep it in the history, and put the changed job in force.
WITH change AS (
  INSERT INTO job_change (job_id, position, label, forward, inverse)
  VALUES ($1::text, $3::integer, $4::text, $5::jsonb, $6::jsonb)
)
UPDATE job
SET doc = $2::jsonb, position = $3::integer, version = version + 1, updated_at = now()
WHERE id = $1::text
RETURNING version
