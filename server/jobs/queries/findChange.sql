SELECT id, position, made_by AS "madeBy", edits FROM job_change WHERE job_id = $1::text AND id = $2::text
