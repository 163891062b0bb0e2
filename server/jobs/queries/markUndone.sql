UPDATE job_change SET undone = $3::integer WHERE job_id = $1::text AND position = $2::integer
