CREATE TABLE model (
  id VARCHAR(64) PRIMARY KEY,
  name VARCHAR(255) NOT NULL,
  bytes BIGINT NOT NULL,
  format VARCHAR(20) NOT NULL,
  unit_mm DOUBLE PRECISION,
  report CLOB NOT NULL
);

CREATE TABLE product (
  id VARCHAR(64) PRIMARY KEY,
  version INT NOT NULL,
  shipped BOOLEAN NOT NULL,
  retired BOOLEAN NOT NULL,
  sheet CLOB NOT NULL
);

CREATE TABLE workshop (
  id INT PRIMARY KEY,
  version INT NOT NULL,
  demo_offered BOOLEAN NOT NULL,
  habits CLOB NOT NULL
);

CREATE TABLE job (
  id VARCHAR(36) PRIMARY KEY,
  name VARCHAR(120) NOT NULL,
  version INT NOT NULL,
  step_now INT NOT NULL,
  demo BOOLEAN NOT NULL,
  archived BOOLEAN NOT NULL,
  deleted BOOLEAN NOT NULL,
  changed TIMESTAMP(3) WITH TIME ZONE NOT NULL
);

-- every state a job's choices have been in, so that undo survives anything
CREATE TABLE job_step (
  job_id VARCHAR(36) NOT NULL REFERENCES job (id) ON DELETE CASCADE,
  step INT NOT NULL,
  label VARCHAR(200) NOT NULL,
  nudged VARCHAR(80),
  choices CLOB NOT NULL,
  PRIMARY KEY (job_id, step)
);

CREATE TABLE picture (
  job_id VARCHAR(36) PRIMARY KEY REFERENCES job (id) ON DELETE CASCADE,
  fingerprint VARCHAR(64) NOT NULL,
  png BLOB NOT NULL
);
