-- All jobs, newest first: with the outlines of the surfaces that changed last, and how much is to be measured again.
SELECT
  job.id,
  job.name,
  job.client,
  job.surface_count AS "surfaceCount",
  job.version,
  job.updated_at AS "updatedAt",
  (
    SELECT coalesce(sum(jsonb_array_length(surface.doc #> '{measured,again}')), 0)::integer
    FROM surface
    WHERE surface.job_id = job.id AND jsonb_typeof(surface.doc #> '{measured,again}') = 'array'
  ) AS "toMeasureAgain",
  (SELECT count(*)::integer FROM surface WHERE surface.job_id = job.id AND surface.doc -> 'laid' = 'true') AS "laidCount",
  (
    SELECT coalesce(jsonb_agg(jsonb_build_object('id', latest.id, 'name', latest.doc ->> 'name', 'shape', latest.doc #> '{measured,shape}') ORDER BY latest.version DESC, latest.id), '[]')
    FROM (SELECT id, version, doc FROM surface WHERE surface.job_id = job.id ORDER BY version DESC, id LIMIT 5) AS latest
  ) AS latest
FROM job
ORDER BY job.updated_at DESC, job.id
