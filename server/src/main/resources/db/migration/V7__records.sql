-- what happened in a job: appended, corrected by a further record, never undone with a decision;
-- what it holds for is kept with it, so that it says nothing once that is another
CREATE TABLE record (
  id BIGINT GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  job_id VARCHAR(36) NOT NULL REFERENCES job (id) ON DELETE CASCADE,
  word VARCHAR(60) NOT NULL,
  about VARCHAR(64) NOT NULL,
  said VARCHAR(200) NOT NULL,
  at TIMESTAMP WITH TIME ZONE NOT NULL
);
CREATE INDEX record_of_job ON record (job_id, word);
