SELECT
  id,
  to_char(at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') AS at,
  written_by AS by,
  surface_id AS "surfaceId",
  replaces,
  data
FROM entry
WHERE job_id = $1::text AND came > $2::integer
ORDER BY entry.at, id
