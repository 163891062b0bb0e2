-- All jobs, newest first: how much of each is laid and how much is to be measured again, and the outlines of the
-- surfaces that changed last; those not laid come first.
SELECT
  job.id,
  job.name,
  job.client,
  job.surface_count AS "surfaceCount",
  job.version,
  job.updated_at AS "updatedAt",
  (SELECT count(*)::integer FROM surface WHERE surface.job_id = job.id AND surface.doc -> 'laid' = 'true') AS "laidCount",
  (
    SELECT coalesce(sum(jsonb_array_length(surface.doc #> '{measured,again}')), 0)::integer
    FROM surface
    WHERE surface.job_id = job.id AND jsonb_typeof(surface.doc #> '{measured,again}') = 'array'
  ) AS "toMeasureAgain",
  (
    SELECT coalesce(jsonb_agg(jsonb_build_object('id', latest.id, 'name', latest.doc ->> 'name', 'laid', latest.laid, 'shape', latest.doc #> '{measured,shape}') ORDER BY latest.laid, latest.version DESC, latest.place), '[]')
    FROM (
      SELECT surface.id, surface.version, surface.doc, coalesce(surface.doc -> 'laid' = 'true', false) AS laid, listed.place
      FROM surface
      JOIN jsonb_array_elements_text(job.doc -> 'surfaces') WITH ORDINALITY AS listed (id, place) ON listed.id = surface.id
      WHERE surface.job_id = job.id
      ORDER BY laid, surface.version DESC, listed.place
      LIMIT 5
    ) AS latest
  ) AS latest
FROM job
ORDER BY job.updated_at DESC, job.id
