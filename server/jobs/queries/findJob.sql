SELECT
  job.doc AS "job",
  job.version,
  job.position,
  (SELECT label FROM job_change WHERE job_id = job.id AND position = job.position) AS "undoLabel",
  (SELECT label FROM job_change WHERE job_id = job.id AND position = job.position + 1) AS "redoLabel"
FROM job
WHERE job.id = $1::text
