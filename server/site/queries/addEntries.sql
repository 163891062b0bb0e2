INSERT INTO entry (job_id, id, surface_id, kind, at, written_by, replaces, data)
SELECT $1::text, one.id, one."surfaceId", one.data ->> 'kind', one.at, one.by, one.replaces, one.data
FROM jsonb_to_recordset($2::jsonb) AS one (id uuid, "surfaceId" text, at timestamptz, by text, replaces uuid, data jsonb)
ON CONFLICT DO NOTHING
