-- more than what locks is kept by facet
ALTER TABLE study ALTER COLUMN locked RENAME TO facets;
