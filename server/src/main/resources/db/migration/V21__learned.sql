-- what somebody said to a value that jobs taught: taken, refused or forgotten; the newest counts
CREATE TABLE learned (
  id BIGINT GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  lesson VARCHAR(20) NOT NULL,
  at TIMESTAMP(3) WITH TIME ZONE NOT NULL,
  who VARCHAR(20) NOT NULL,
  deed VARCHAR(10) NOT NULL,
  offered DOUBLE PRECISION NOT NULL,
  before DOUBLE PRECISION NOT NULL,
  jobs INT NOT NULL
);
CREATE INDEX learned_of ON learned (lesson, id);
