SELECT id FROM job_change WHERE job_id = $1::text AND id = $2::text
