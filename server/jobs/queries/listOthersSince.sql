-- What others changed after a change of one's own, and is in force.
SELECT label, person, edits FROM job_change
WHERE job_id = $1::text AND made_by <> $2::text AND undone IS NULL AND position > $3::integer
ORDER BY position DESC
