-- Begins anew: also where a page of it can't be read any more.
TRUNCATE layout
