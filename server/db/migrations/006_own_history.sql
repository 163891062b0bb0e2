-- Undo and redo are one's own: a change says who made it, and whether it is taken back.
ALTER TABLE job_change ADD COLUMN made_by text NOT NULL DEFAULT '' CHECK (length(made_by) <= 60);
ALTER TABLE job_change ADD COLUMN person text NOT NULL DEFAULT '' CHECK (length(person) <= 60);
-- The version of the job that took it back, the greatest first to be made again; null while it is in force.
ALTER TABLE job_change ADD COLUMN undone integer;
-- Others built on it: it is not taken back any more, and what was made before it can be.
ALTER TABLE job_change ADD COLUMN passed boolean NOT NULL DEFAULT false;

-- Until now the position of a job told which of its changes were in force; those after it were taken back, the last first.
UPDATE job_change SET undone = 1000000 - job_change.position FROM job WHERE job.id = job_id AND job_change.position > job.position;
UPDATE job SET position = greatest(position, (SELECT coalesce(max(change.position), 0) FROM job_change AS change WHERE change.job_id = job.id));
