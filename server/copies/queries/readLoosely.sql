-- Damaged pages read as empty, and no index is trusted.
SET zero_damaged_pages = on;
SET enable_indexscan = off;
SET enable_bitmapscan = off;
SET enable_indexonlyscan = off
