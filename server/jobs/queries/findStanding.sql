-- Where a job stands for one of those who work on it: what they can take back and make again, and what was done last by anybody.
SELECT
  job.version,
  (
    SELECT label FROM job_change AS own
    WHERE own.job_id = job.id AND own.made_by = $2::text AND own.undone IS NULL AND NOT own.passed
    ORDER BY own.position DESC LIMIT 1
  ) AS "undoLabel",
  (
    SELECT label FROM job_change AS own
    WHERE own.job_id = job.id AND own.made_by = $2::text AND own.undone IS NOT NULL
    ORDER BY own.undone DESC LIMIT 1
  ) AS "redoLabel",
  (
    SELECT jsonb_build_object('label', label, 'person', person, 'own', made_by = $2::text) FROM job_change AS last
    WHERE last.job_id = job.id AND last.undone IS NULL
    ORDER BY last.position DESC LIMIT 1
  ) AS last
FROM job
WHERE job.id = $1::text
