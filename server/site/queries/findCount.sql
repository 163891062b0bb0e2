SELECT came FROM site_count WHERE job_id = $1::text
