-- A photo has an address of its own: kept once a job, by what it holds, and named in the log as photo:HASH.
CREATE TABLE photo (
  job_id text NOT NULL REFERENCES job (id) ON DELETE CASCADE,
  hash text NOT NULL CHECK (hash ~ '^[0-9a-f]{64}$'),
  media text NOT NULL CHECK (media ~ '^image/(jpeg|png|webp)$'),
  content bytea NOT NULL,
  PRIMARY KEY (job_id, hash)
);
-- A picture is compressed already.
ALTER TABLE photo ALTER COLUMN content SET STORAGE EXTERNAL;

-- How often something came in beside a job: whoever knows a count asks for what came after it.
CREATE TABLE site_count (
  job_id text PRIMARY KEY REFERENCES job (id) ON DELETE CASCADE,
  came integer NOT NULL CHECK (came > 0)
);
INSERT INTO site_count (job_id, came) SELECT id, 1 FROM job;
ALTER TABLE tick ADD COLUMN came integer NOT NULL DEFAULT 1;
ALTER TABLE entry ADD COLUMN came integer NOT NULL DEFAULT 1;
CREATE INDEX tick_by_coming ON tick (job_id, came);
CREATE INDEX entry_by_coming ON entry (job_id, came);

-- Photos that stand in the log move to their own rows; one that can't be read stays where it is.
DO $$
DECLARE
  one record;
  bytes bytea;
  name text;
BEGIN
  FOR one IN SELECT job_id, id, data ->> 'image' AS image FROM entry WHERE data ->> 'image' LIKE 'data:image/%' LOOP
    BEGIN
      bytes := decode(split_part(one.image, ',', 2), 'base64');
      name := encode(sha256(bytes), 'hex');
      INSERT INTO photo (job_id, hash, media, content)
      VALUES (one.job_id, name, substring(one.image FROM '^data:(image/[a-z]+);'), bytes)
      ON CONFLICT DO NOTHING;
      UPDATE entry SET data = jsonb_set(data, '{image}', to_jsonb('photo:' || name)) WHERE job_id = one.job_id AND id = one.id;
    EXCEPTION WHEN OTHERS THEN
      NULL;
    END;
  END LOOP;
END
$$;
