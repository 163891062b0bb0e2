WITH counted AS (
  INSERT INTO site_count (job_id, came) VALUES ($1::text, 1)
  ON CONFLICT (job_id) DO UPDATE SET came = site_count.came + 1
  RETURNING came
)
INSERT INTO tick (job_id, id, surface_id, label, state, turn, came)
SELECT $1::text, one.id, one."surfaceId", one.label, one.state, one.turn, counted.came
FROM counted, jsonb_to_recordset($2::jsonb) AS one (id uuid, "surfaceId" text, label text, state text, turn integer)
ON CONFLICT DO NOTHING
