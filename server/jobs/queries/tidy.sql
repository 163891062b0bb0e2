VACUUM job, surface, product, job_change
