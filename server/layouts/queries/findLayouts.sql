-- Those of these keys that are there; that they were used is written down once a day.
WITH used AS (
  UPDATE layout SET used_at = now()
  WHERE key IN (SELECT jsonb_array_elements_text($1::jsonb)) AND used_at < now() - interval '1 day'
)
SELECT key, translate(encode(content, 'base64'), E'\n', '') AS content FROM layout
WHERE key IN (SELECT jsonb_array_elements_text($1::jsonb))
