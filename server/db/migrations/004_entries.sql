-- What happened on site: orders placed, lots, mixes, breakages, hours, notes, photos, readings. Records that are added,
-- in any order, and never changed; a correction names what it replaces. They are no part of the document.
CREATE TABLE entry (
  job_id text NOT NULL REFERENCES job (id) ON DELETE CASCADE,
  id uuid NOT NULL,
  surface_id text CHECK (length(surface_id) BETWEEN 1 AND 40),
  kind text NOT NULL CHECK (length(kind) BETWEEN 1 AND 20),
  -- By the clock of who wrote it, which may be wrong; kept as it was told.
  at timestamptz NOT NULL,
  written_by text NOT NULL CHECK (length(written_by) <= 60),
  replaces uuid,
  data jsonb NOT NULL CHECK (jsonb_typeof(data) = 'object' AND data ->> 'kind' = kind),
  came_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (job_id, id)
);

CREATE INDEX entry_by_kind ON entry (kind, job_id);
