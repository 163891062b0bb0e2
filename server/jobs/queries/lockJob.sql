SELECT
  doc AS "job",
  version,
  position,
  EXISTS (SELECT FROM job_change AS later WHERE later.job_id = job.id AND later.position > job.position) AS "hasUndone"
FROM job
WHERE id = $1::text
FOR UPDATE
