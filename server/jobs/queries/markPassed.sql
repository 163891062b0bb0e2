UPDATE job_change SET passed = true, undone = NULL WHERE job_id = $1::text AND position = $2::integer
