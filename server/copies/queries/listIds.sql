SELECT id AS "jobId", id FROM job
