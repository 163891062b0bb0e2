-- Pieces ticked as cut or laid: records that are added, in any order, and never changed. They are no part of the
-- document: a job is planned without them, and two phones tick beside each other.
CREATE TABLE tick (
  job_id text NOT NULL REFERENCES job (id) ON DELETE CASCADE,
  id uuid NOT NULL,
  surface_id text NOT NULL CHECK (length(surface_id) BETWEEN 1 AND 40),
  label text NOT NULL CHECK (length(label) BETWEEN 1 AND 24),
  state text NOT NULL CHECK (state IN ('open', 'cut', 'laid')),
  -- One more than the greatest that its maker knew for the piece: what was made with more known is in force.
  turn integer NOT NULL CHECK (turn > 0),
  came_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (job_id, id)
);

CREATE INDEX tick_by_piece ON tick (job_id, surface_id, label, turn DESC);
