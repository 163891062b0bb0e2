WITH counted AS (
  INSERT INTO site_count (job_id, came) VALUES ($1::text, 1)
  ON CONFLICT (job_id) DO UPDATE SET came = site_count.came + 1
  RETURNING came
), photos AS (
  INSERT INTO photo (job_id, hash, media, content)
  SELECT $1::text, one.hash, one.media, decode(one.content, 'base64')
  FROM counted, jsonb_to_recordset($3::jsonb) AS one (hash text, media text, content text)
  ON CONFLICT DO NOTHING
)
INSERT INTO entry (job_id, id, surface_id, kind, at, written_by, replaces, data, came)
SELECT $1::text, one.id, one."surfaceId", one.data ->> 'kind', one.at, one.by, one.replaces, one.data, counted.came
FROM counted, jsonb_to_recordset($2::jsonb) AS one (id uuid, "surfaceId" text, at timestamptz, by text, replaces uuid, data jsonb)
ON CONFLICT DO NOTHING
