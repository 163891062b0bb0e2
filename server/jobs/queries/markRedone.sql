-- Made again, it is the last that was made.
UPDATE job_change SET undone = NULL, position = $3::integer, inverse = $4::jsonb WHERE job_id = $1::text AND position = $2::integer
