-- when each step of a job's history was made; of those before, nobody knows
ALTER TABLE job_step ADD COLUMN at TIMESTAMP(3) WITH TIME ZONE;
