-- A job with its rows, and the version at which each part of it last changed.
SELECT
  job.doc,
  job.version,
  job.made,
  job.position,
  (SELECT coalesce(jsonb_agg(surface.doc), '[]') FROM surface WHERE surface.job_id = job.id) AS surfaces,
  (SELECT coalesce(jsonb_agg(product.doc), '[]') FROM product WHERE product.job_id = job.id) AS products,
  job.parts
    || (SELECT coalesce(jsonb_object_agg('surfaces/' || surface.id, surface.version), '{}') FROM surface WHERE surface.job_id = job.id)
    || (SELECT coalesce(jsonb_object_agg('products/' || product.id, product.version), '{}') FROM product WHERE product.job_id = job.id)
    AS parts,
  EXISTS (SELECT FROM job_change AS back WHERE back.job_id = job.id AND back.undone IS NOT NULL) AS "hasUndone"
FROM job
WHERE job.id = $1::text
