-- when a job is begun, by the workshop's clock, where somebody has said so: it takes its place on the
-- bench then; in which order is said by dragging
ALTER TABLE job ADD COLUMN begins TIMESTAMP;
ALTER TABLE job ADD COLUMN bench_place INT;

-- addresses a calendar is subscribed under: whoever knows one reads the days, until it is revoked
CREATE TABLE calendar_address (
  code VARCHAR(64) PRIMARY KEY,
  made TIMESTAMP WITH TIME ZONE NOT NULL
);
