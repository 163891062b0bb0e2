-- The tick in force of every piece that was ticked since a count.
SELECT DISTINCT ON (surface_id, label)
  id, surface_id AS "surfaceId", label, state, turn
FROM tick
WHERE job_id = $1::text AND came > $2::integer
ORDER BY surface_id, label, turn DESC, array_position(ARRAY['laid', 'cut', 'open'], state), id::text COLLATE "C" DESC
