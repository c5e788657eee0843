-- when a job on the bench is worked at, written when its days were last made; made again whenever
-- what it rests on is another
CREATE TABLE job_days (
  job_id VARCHAR(36) PRIMARY KEY REFERENCES job (id) ON DELETE CASCADE,
  basis VARCHAR(64) NOT NULL,
  days CLOB NOT NULL
);
