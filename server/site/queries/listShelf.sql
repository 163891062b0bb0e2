-- Left-overs of all jobs that were not corrected or taken back, with how many pieces of each were taken.
SELECT
  entry.id,
  entry.job_id AS "jobId",
  job.doc ->> 'name' AS "jobName",
  entry.data,
  coalesce((
    SELECT sum((taken.data ->> 'pieces')::numeric)
    FROM entry AS taken
    WHERE taken.kind = 'taken' AND taken.data ->> 'entryId' = entry.id::text
  ), 0)::float8 AS taken
FROM entry
JOIN job ON job.id = entry.job_id
WHERE entry.kind = 'leftOver'
  AND NOT EXISTS (SELECT 1 FROM entry AS other WHERE other.job_id = entry.job_id AND other.replaces = entry.id)
ORDER BY entry.at DESC
LIMIT 500
