-- How surfaces were laid out, by a hash of all that a layout is made from and of the release that made it. Nothing is lost with them:
-- what is not here is worked out again.
CREATE TABLE layout (
  key text PRIMARY KEY CHECK (key ~ '^[0-9a-f]{64}$'),
  content bytea NOT NULL,
  bytes integer NOT NULL,
  used_at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX layout_by_use ON layout (used_at);
