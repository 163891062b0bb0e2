-- A job is one document; what lists and constraints need is drawn from it.
CREATE TABLE job (
  id text PRIMARY KEY CHECK (length(id) BETWEEN 1 AND 40),
  version integer NOT NULL DEFAULT 1 CHECK (version > 0),
  -- How many changes of its history are in force; those after it have been undone.
  position integer NOT NULL DEFAULT 0 CHECK (position >= 0),
  doc jsonb NOT NULL CHECK (jsonb_typeof(doc) = 'object' AND doc ->> 'format' = 'azulejo-job'),
  name text NOT NULL GENERATED ALWAYS AS (doc ->> 'name') STORED,
  client text NOT NULL GENERATED ALWAYS AS (coalesce(doc ->> 'client', '')) STORED,
  surface_count integer NOT NULL GENERATED ALWAYS AS (jsonb_array_length(doc -> 'surfaces')) STORED,
  created_at timestamptz NOT NULL DEFAULT now(),
  updated_at timestamptz NOT NULL DEFAULT now(),
  CHECK (doc ->> 'id' = id)
);

CREATE TABLE job_change (
  job_id text NOT NULL REFERENCES job (id) ON DELETE CASCADE,
  position integer NOT NULL CHECK (position > 0),
  label text NOT NULL CHECK (length(label) BETWEEN 1 AND 120),
  forward jsonb NOT NULL CHECK (jsonb_typeof(forward) = 'array'),
  inverse jsonb NOT NULL CHECK (jsonb_typeof(inverse) = 'array'),
  made_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (job_id, position)
);
