-- Puts a changed job in force, if it still stands where the change was built on: its document, the rows the change
-- touches, the versions of its other parts, and the change itself unless it comes from the history.
WITH moved AS (
  UPDATE job
  SET doc = $2::jsonb, position = $3::integer, version = $4::integer, parts = job.parts || $9::jsonb, updated_at = now()
  WHERE id = $1::text AND version = $10::integer AND made = $11::uuid
  RETURNING id
), kept_surface AS (
  INSERT INTO surface (job_id, id, version, doc)
  SELECT moved.id, item.doc ->> 'id', $4::integer, item.doc FROM moved, jsonb_array_elements($5::jsonb) AS item (doc)
  ON CONFLICT (job_id, id) DO UPDATE SET doc = EXCLUDED.doc, version = EXCLUDED.version
), gone_surface AS (
  DELETE FROM surface USING moved WHERE job_id = moved.id AND surface.id IN (SELECT jsonb_array_elements_text($6::jsonb))
), kept_product AS (
  INSERT INTO product (job_id, id, version, doc)
  SELECT moved.id, item.doc ->> 'id', $4::integer, item.doc FROM moved, jsonb_array_elements($7::jsonb) AS item (doc)
  ON CONFLICT (job_id, id) DO UPDATE SET doc = EXCLUDED.doc, version = EXCLUDED.version
), gone_product AS (
  DELETE FROM product USING moved WHERE job_id = moved.id AND product.id IN (SELECT jsonb_array_elements_text($8::jsonb))
), change AS (
  INSERT INTO job_change (job_id, position, id, label, edits, inverse, made_by, person)
  SELECT moved.id, $3::integer, $12::text, $13::text, $14::jsonb, $15::jsonb, $16::text, $17::text FROM moved WHERE $12::text IS NOT NULL
)
SELECT id FROM moved
