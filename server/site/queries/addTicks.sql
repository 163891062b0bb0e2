INSERT INTO tick (job_id, id, surface_id, label, state, turn)
SELECT $1::text, one.id, one."surfaceId", one.label, one.state, one.turn
FROM jsonb_to_recordset($2::jsonb) AS one (id uuid, "surfaceId" text, label text, state text, turn integer)
ON CONFLICT DO NOTHING
