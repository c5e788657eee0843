-- a mould as it is made at the bench: the plan it goes by and its section, frozen when it was begun
CREATE TABLE run (
  id VARCHAR(36) PRIMARY KEY,
  job_id VARCHAR(36) NOT NULL REFERENCES job (id) ON DELETE CASCADE,
  plan CLOB NOT NULL,
  drawing CLOB NOT NULL,
  begun TIMESTAMP(3) WITH TIME ZONE NOT NULL,
  ended TIMESTAMP(3) WITH TIME ZONE
);
CREATE INDEX run_of_job ON run (job_id, begun);

-- what happened, appended one by one and never changed; act names the deed it came of, so that one
-- that is delivered twice happens once
CREATE TABLE run_entry (
  run_id VARCHAR(36) NOT NULL REFERENCES run (id) ON DELETE CASCADE,
  number INT NOT NULL,
  act VARCHAR(36),
  who VARCHAR(20) NOT NULL,
  entry CLOB NOT NULL,
  PRIMARY KEY (run_id, number)
);
CREATE INDEX run_entry_of_act ON run_entry (run_id, act);

-- pictures taken at a step: JPEG, without what a camera writes into it
CREATE TABLE run_picture (
  id VARCHAR(36) PRIMARY KEY,
  run_id VARCHAR(36) NOT NULL REFERENCES run (id) ON DELETE CASCADE,
  jpeg BLOB NOT NULL
);

-- scales, gauges and thermometers that are heard over the network
CREATE TABLE device (
  id VARCHAR(36) PRIMARY KEY,
  kind VARCHAR(10) NOT NULL,
  name VARCHAR(60) NOT NULL,
  host VARCHAR(120) NOT NULL,
  port INT NOT NULL
);

-- a batch's record carries the run it was mixed in; empty when it was recorded by hand
ALTER TABLE mixed ADD COLUMN run_id VARCHAR(36) DEFAULT '' NOT NULL;
ALTER TABLE mixed DROP CONSTRAINT mixed_once;
ALTER TABLE mixed ADD CONSTRAINT mixed_once UNIQUE (job_id, run_id, pour, batch, again);
