-- casts that were made, appended one by one and never changed; what was recorded wrongly is struck by
-- a further record. act names the deed it came of, so that one that is delivered twice counts once
CREATE TABLE cast_made (
  job_id VARCHAR(36) NOT NULL REFERENCES job (id) ON DELETE CASCADE,
  number INT NOT NULL,
  act VARCHAR(36) NOT NULL,
  at TIMESTAMP(3) WITH TIME ZONE NOT NULL,
  who VARCHAR(20) NOT NULL,
  mould INT NOT NULL,
  result VARCHAR(10) NOT NULL,
  grams DOUBLE PRECISION,
  why VARCHAR(200) NOT NULL,
  strikes INT NOT NULL,
  PRIMARY KEY (job_id, number),
  CONSTRAINT cast_once UNIQUE (job_id, act)
);
