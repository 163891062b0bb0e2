SELECT position, label, edits, inverse FROM job_change
WHERE job_id = $1::text AND made_by = $2::text AND undone IS NOT NULL
ORDER BY undone DESC LIMIT 1
