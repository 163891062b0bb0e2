UPDATE job
SET doc = $2::jsonb, position = $3::integer, version = version + 1, updated_at = now()
WHERE id = $1::text
RETURNING version
