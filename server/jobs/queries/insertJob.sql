INSERT INTO job (id, doc) VALUES ($1::text, $2::jsonb) ON CONFLICT (id) DO NOTHING RETURNING id
