INSERT INTO job_change (job_id, position, label, forward, inverse)
VALUES ($1::text, $2::integer, $3::text, $4::jsonb, $5::jsonb)
