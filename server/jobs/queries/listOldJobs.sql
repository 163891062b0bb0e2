SELECT id FROM job WHERE (doc ->> 'version')::integer < $1::integer ORDER BY id
