-- moulds kept beside the one chosen for a job
CREATE TABLE variant (
  id VARCHAR(36) PRIMARY KEY,
  job_id VARCHAR(36) NOT NULL REFERENCES job (id) ON DELETE CASCADE,
  name VARCHAR(120) NOT NULL,
  choices CLOB NOT NULL
);
