-- a plan that a run took over on the way, and its section: it goes by it from that entry on
CREATE TABLE run_plan (
  run_id VARCHAR(36) NOT NULL REFERENCES run (id) ON DELETE CASCADE,
  number INT NOT NULL,
  plan CLOB NOT NULL,
  drawing CLOB NOT NULL,
  PRIMARY KEY (run_id, number)
);
