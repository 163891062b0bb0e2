SELECT
  (SELECT sum(length(job::text)) FROM job) AS jobs,
  (SELECT sum(length(surface::text)) FROM surface) AS surfaces,
  (SELECT sum(length(product::text)) FROM product) AS products,
  (SELECT sum(length(job_change::text)) FROM job_change) AS changes,
  (SELECT sum(length(tick::text)) FROM tick) AS ticks,
  (SELECT sum(length(entry::text)) FROM entry) AS entries,
  (SELECT sum(length(photo.hash || photo.media) + octet_length(sha256(photo.content))) FROM photo) AS photos,
  (SELECT sum(length(site_count::text)) FROM site_count) AS counts
