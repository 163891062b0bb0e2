VACUUM job, surface, product, job_change, tick, entry, photo, site_count
