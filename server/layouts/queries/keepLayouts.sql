-- Adds layouts; one that is there already is the same.
INSERT INTO layout (key, content, bytes)
SELECT key, decode(content, 'base64'), length(decode(content, 'base64'))
FROM jsonb_to_recordset($1::jsonb) AS given(key text, content text)
ON CONFLICT (key) DO NOTHING
