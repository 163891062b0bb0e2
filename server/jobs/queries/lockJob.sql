SELECT doc AS "job", version, position FROM job WHERE id = $1::text FOR UPDATE
