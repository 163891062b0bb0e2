SELECT
  job.version,
  (SELECT label FROM job_change AS last WHERE last.job_id = job.id AND last.position = job.position) AS "undoLabel",
  (SELECT label FROM job_change AS next WHERE next.job_id = job.id AND next.position = job.position + 1) AS "redoLabel"
FROM job
WHERE job.id = $1::text
