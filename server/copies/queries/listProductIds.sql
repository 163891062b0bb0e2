SELECT job_id AS "jobId", id FROM product
