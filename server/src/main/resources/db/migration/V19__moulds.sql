-- moulds that are made: each with what is known of it by now, and what it was made in. What somebody
-- said of it is appended to mould_record; pulls and days are those of cast_made, counted again when
-- one is added
CREATE TABLE mould (
  id VARCHAR(36) PRIMARY KEY,
  code VARCHAR(8) NOT NULL,
  job_id VARCHAR(36) REFERENCES job (id),
  number INT NOT NULL,
  run_id VARCHAR(36),
  chemistry VARCHAR(20),
  of_what VARCHAR(120),
  made DATE,
  rubber VARCHAR(80),
  lot VARCHAR(40),
  expects INT,
  gave_before INT NOT NULL,
  lasts DOUBLE PRECISION,
  place VARCHAR(80),
  condition VARCHAR(10) NOT NULL,
  jacket VARCHAR(120),
  note VARCHAR(300),
  retired VARCHAR(200),
  pulls INT NOT NULL,
  first_cast TIMESTAMP(3) WITH TIME ZONE,
  last_cast TIMESTAMP(3) WITH TIME ZONE,
  CONSTRAINT mould_code UNIQUE (code),
  CONSTRAINT mould_of_job UNIQUE (job_id, number),
  CONSTRAINT mould_of_run UNIQUE (run_id)
);

CREATE TABLE mould_record (
  id BIGINT GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  mould_id VARCHAR(36) NOT NULL REFERENCES mould (id),
  at TIMESTAMP(3) WITH TIME ZONE NOT NULL,
  who VARCHAR(20) NOT NULL,
  word VARCHAR(20) NOT NULL,
  said VARCHAR(300) NOT NULL
);
CREATE INDEX record_of_mould ON mould_record (mould_id, id);
CREATE INDEX cast_of_mould ON cast_made (job_id, mould);
