-- what each stage was last looked at against: no part of a job's history
CREATE TABLE job_looked (
  job_id VARCHAR(36) NOT NULL REFERENCES job (id) ON DELETE CASCADE,
  stage VARCHAR(20) NOT NULL,
  seen VARCHAR(64) NOT NULL,
  PRIMARY KEY (job_id, stage)
);

-- what the user is to be told about a job once, until it is changed again
ALTER TABLE job ADD COLUMN note VARCHAR(400);

-- a batch carries its pour and what was planned for it (pour 0: recorded when batches were counted
-- over all pours); one that was recorded twice is kept and numbered, and from here on it stands once
ALTER TABLE mixed ADD COLUMN pour INT DEFAULT 0 NOT NULL;
ALTER TABLE mixed ADD COLUMN again INT DEFAULT 0 NOT NULL;
ALTER TABLE mixed ADD COLUMN planned CLOB;
UPDATE mixed m SET again = (
  SELECT COUNT(*) FROM mixed o
  WHERE o.job_id = m.job_id AND o.batch = m.batch AND (o.at < m.at OR o.at = m.at AND o.id < m.id)
);
ALTER TABLE mixed ADD CONSTRAINT mixed_once UNIQUE (job_id, pour, batch, again);

-- variants in the order they were kept
ALTER TABLE variant ADD COLUMN number INT DEFAULT 0 NOT NULL;
UPDATE variant SET number = CAST(REGEXP_SUBSTR(name, '^[0-9]+') AS INT)
  WHERE REGEXP_LIKE(name, '^[0-9]+');
