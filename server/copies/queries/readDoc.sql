SELECT doc FROM job WHERE id = $1::text AND id = $2::text
