SELECT doc FROM product WHERE job_id = $1::text AND id = $2::text
