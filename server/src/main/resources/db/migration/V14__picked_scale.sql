-- the scale that is read of several, until another is taken; a stand-in is no row of device
CREATE TABLE picked_scale (
  one INT PRIMARY KEY CHECK (one = 1),
  device VARCHAR(36) NOT NULL
);
