SELECT id, name, client, surface_count AS "surfaceCount", version, updated_at AS "updatedAt"
FROM job
ORDER BY updated_at DESC, id
