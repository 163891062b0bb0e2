SELECT media, encode(content, 'base64') AS content FROM photo WHERE job_id = $1::text AND hash = $2::text
