-- packs on the shelf, with what is left in them
CREATE TABLE lot (
  id VARCHAR(36) PRIMARY KEY,
  version INT NOT NULL,
  product_id VARCHAR(64) NOT NULL REFERENCES product (id),
  gone BOOLEAN NOT NULL,
  lot CLOB NOT NULL
);

-- batches as they were really mixed, and what they took from which pack
CREATE TABLE mixed (
  id VARCHAR(36) PRIMARY KEY,
  job_id VARCHAR(36) NOT NULL REFERENCES job (id) ON DELETE CASCADE,
  product_id VARCHAR(64) NOT NULL REFERENCES product (id),
  batch INT NOT NULL,
  base_g DOUBLE PRECISION NOT NULL,
  hardener_g DOUBLE PRECISION NOT NULL,
  taken CLOB NOT NULL,
  at TIMESTAMP(3) WITH TIME ZONE NOT NULL
);
