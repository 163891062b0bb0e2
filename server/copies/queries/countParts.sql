SELECT
  jsonb_array_length(doc -> 'surfaces') AS surfaces,
  jsonb_array_length(doc -> 'products') AS products
FROM job
WHERE id = $1::text
