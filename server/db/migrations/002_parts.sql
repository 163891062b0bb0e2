-- Surfaces and tiles are rows of their own, each with the job's version at which it last changed: a change
-- writes what it touches, and two people on two surfaces never meet.
CREATE TABLE surface (
  job_id text NOT NULL REFERENCES job (id) ON DELETE CASCADE,
  id text NOT NULL CHECK (length(id) BETWEEN 1 AND 200),
  version integer NOT NULL CHECK (version > 0),
  doc jsonb NOT NULL CHECK (jsonb_typeof(doc) = 'object' AND doc ->> 'id' = id),
  PRIMARY KEY (job_id, id)
);

CREATE TABLE product (
  job_id text NOT NULL REFERENCES job (id) ON DELETE CASCADE,
  id text NOT NULL CHECK (length(id) BETWEEN 1 AND 200),
  version integer NOT NULL CHECK (version > 0),
  doc jsonb NOT NULL CHECK (jsonb_typeof(doc) = 'object' AND doc ->> 'id' = id),
  PRIMARY KEY (job_id, id)
);

INSERT INTO surface (job_id, id, version, doc)
SELECT job.id, item.doc ->> 'id', job.version, item.doc
FROM job, jsonb_array_elements(job.doc -> 'surfaces') AS item (doc)
ON CONFLICT DO NOTHING;

INSERT INTO product (job_id, id, version, doc)
SELECT job.id, item.doc ->> 'id', job.version, item.doc
FROM job, jsonb_array_elements(job.doc -> 'products') AS item (doc)
ON CONFLICT DO NOTHING;

-- The document keeps all else, and of surfaces and tiles the order in which they stand, by id.
UPDATE job SET doc = doc || jsonb_build_object(
  'surfaces', (SELECT coalesce(jsonb_agg(item.doc -> 'id' ORDER BY item.place), '[]')
    FROM jsonb_array_elements(job.doc -> 'surfaces') WITH ORDINALITY AS item (doc, place)),
  'products', (SELECT coalesce(jsonb_agg(item.doc -> 'id' ORDER BY item.place), '[]')
    FROM jsonb_array_elements(job.doc -> 'products') WITH ORDINALITY AS item (doc, place))
);

-- A job deleted and read back from a file is another one, whatever its version.
ALTER TABLE job ADD COLUMN made uuid NOT NULL DEFAULT gen_random_uuid();

-- Versions at which the other parts of a job last changed, by part: name, rooms/hall, links/join-1.
ALTER TABLE job ADD COLUMN parts jsonb NOT NULL DEFAULT '{}' CHECK (jsonb_typeof(parts) = 'object');

-- Changes named what they touch by its place in a list; those can't be followed any longer.
DROP TABLE job_change;
UPDATE job SET position = 0;
CREATE TABLE job_change (
  job_id text NOT NULL REFERENCES job (id) ON DELETE CASCADE,
  position integer NOT NULL CHECK (position > 0),
  -- Given by who made it: sent again after an answer was lost, it is not made twice.
  id text NOT NULL CHECK (length(id) BETWEEN 1 AND 60),
  label text NOT NULL CHECK (length(label) BETWEEN 1 AND 120),
  edits jsonb NOT NULL CHECK (jsonb_typeof(edits) = 'array'),
  inverse jsonb NOT NULL CHECK (jsonb_typeof(inverse) = 'array'),
  made_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (job_id, position),
  UNIQUE (job_id, id)
);
