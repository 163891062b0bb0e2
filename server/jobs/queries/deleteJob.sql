DELETE FROM job WHERE id = $1::text AND version = $2::integer RETURNING id
