-- what a job is practised on: it is on no list, and goes when the exercise is begun again
ALTER TABLE job ADD COLUMN exercise VARCHAR(20);
