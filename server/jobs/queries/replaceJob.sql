UPDATE job SET doc = $2::jsonb, position = 0, version = version + 1 WHERE id = $1::text
