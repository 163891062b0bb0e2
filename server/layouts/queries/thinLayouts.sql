-- Lets go of those that were used longest ago, beyond so many bytes in all.
DELETE FROM layout WHERE key IN (
  SELECT key FROM (SELECT key, sum(bytes) OVER (ORDER BY used_at DESC, key) AS total FROM layout) AS summed WHERE total > $1::bigint
)
