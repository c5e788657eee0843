-- what lists show of a job, written when its plan was last made; made again whenever what it rests
-- on is another
CREATE TABLE job_summary (
  job_id VARCHAR(36) PRIMARY KEY REFERENCES job (id) ON DELETE CASCADE,
  basis VARCHAR(64) NOT NULL,
  summary CLOB NOT NULL
);
