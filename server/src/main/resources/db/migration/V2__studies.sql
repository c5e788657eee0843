-- what shapes decide, by what was asked: two jobs asking the same share it
CREATE TABLE study (
  id VARCHAR(64) PRIMARY KEY,
  found CLOB NOT NULL,
  locked BLOB NOT NULL,
  made TIMESTAMP(3) WITH TIME ZONE NOT NULL
);
