-- what went wrong and was looked into: what was seen, what was answered, and the cause that was
-- taken for it; whether it was that is said later, by the newest row of case_outcome
CREATE TABLE fault_case (
  id VARCHAR(36) PRIMARY KEY,
  job_id VARCHAR(36) NOT NULL REFERENCES job (id) ON DELETE CASCADE,
  at TIMESTAMP(3) WITH TIME ZONE NOT NULL,
  who VARCHAR(20) NOT NULL,
  seen VARCHAR(20) NOT NULL,
  cast_number INT NOT NULL,
  answers CLOB NOT NULL,
  cause VARCHAR(30) NOT NULL
);
CREATE INDEX case_of_job ON fault_case (job_id, at);

CREATE TABLE case_outcome (
  id BIGINT GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  case_id VARCHAR(36) NOT NULL REFERENCES fault_case (id) ON DELETE CASCADE,
  at TIMESTAMP(3) WITH TIME ZONE NOT NULL,
  who VARCHAR(20) NOT NULL,
  was_it BOOLEAN NOT NULL
);
CREATE INDEX outcome_of_case ON case_outcome (case_id, id);
