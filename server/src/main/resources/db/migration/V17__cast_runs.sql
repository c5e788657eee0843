-- moulds that are cast from in a run, by number; empty where it makes a mould
ALTER TABLE run ADD COLUMN moulds VARCHAR(400) DEFAULT '' NOT NULL;

-- a cast that came out at the bench carries run and entry in its act
ALTER TABLE cast_made ALTER COLUMN act SET DATA TYPE VARCHAR(60);

-- where a cast is not good, on the surface of the model it was cast after: appended, the newest counts;
-- an empty place takes it back
CREATE TABLE cast_place (
  id BIGINT GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  job_id VARCHAR(36) NOT NULL REFERENCES job (id) ON DELETE CASCADE,
  number INT NOT NULL,
  at TIMESTAMP(3) WITH TIME ZONE NOT NULL,
  who VARCHAR(20) NOT NULL,
  model VARCHAR(64) NOT NULL,
  place VARCHAR(60) NOT NULL
);
CREATE INDEX cast_place_of_job ON cast_place (job_id, number);
