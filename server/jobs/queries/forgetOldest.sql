DELETE FROM job_change WHERE job_id = $1::text AND position <= $2::integer
