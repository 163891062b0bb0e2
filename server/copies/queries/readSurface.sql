SELECT doc FROM surface WHERE job_id = $1::text AND id = $2::text
