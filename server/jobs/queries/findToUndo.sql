SELECT position, label, edits, inverse FROM job_change
WHERE job_id = $1::text AND made_by = $2::text AND undone IS NULL AND NOT passed
ORDER BY position DESC LIMIT 1
