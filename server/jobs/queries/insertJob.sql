WITH added AS (
  INSERT INTO job (id, doc) VALUES ($1::text, $2::jsonb) ON CONFLICT (id) DO NOTHING RETURNING id
), surfaces AS (
  INSERT INTO surface (job_id, id, version, doc)
  SELECT added.id, item.doc ->> 'id', 1, item.doc FROM added, jsonb_array_elements($3::jsonb) AS item (doc)
), products AS (
  INSERT INTO product (job_id, id, version, doc)
  SELECT added.id, item.doc ->> 'id', 1, item.doc FROM added, jsonb_array_elements($4::jsonb) AS item (doc)
)
SELECT id FROM added
