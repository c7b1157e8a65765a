-- A job may begin on a device that reaches no server: its id is then the device's own, below zero, so that the numbers given here never meet it.
ALTER TABLE events DROP FOREIGN KEY IF EXISTS events_of_job;
ALTER TABLE readings DROP FOREIGN KEY IF EXISTS readings_of_job;
ALTER TABLE sheets DROP FOREIGN KEY IF EXISTS sheets_of_job;
ALTER TABLE job_tasks DROP FOREIGN KEY IF EXISTS job_tasks_of_job;
ALTER TABLE photos DROP FOREIGN KEY IF EXISTS photos_of_job;
ALTER TABLE jobs MODIFY id BIGINT NOT NULL AUTO_INCREMENT;
ALTER TABLE events MODIFY job_id BIGINT NOT NULL;
ALTER TABLE readings MODIFY job_id BIGINT NOT NULL;
ALTER TABLE sheets MODIFY job_id BIGINT NOT NULL;
ALTER TABLE job_tasks MODIFY job_id BIGINT NOT NULL;
ALTER TABLE photos MODIFY job_id BIGINT NULL;
ALTER TABLE meter_readings MODIFY source_id BIGINT NOT NULL;
ALTER TABLE events ADD CONSTRAINT events_of_job FOREIGN KEY IF NOT EXISTS (shop_id, job_id) REFERENCES jobs (shop_id, id);
ALTER TABLE readings ADD CONSTRAINT readings_of_job FOREIGN KEY IF NOT EXISTS (shop_id, job_id) REFERENCES jobs (shop_id, id);
ALTER TABLE sheets ADD CONSTRAINT sheets_of_job FOREIGN KEY IF NOT EXISTS (shop_id, job_id) REFERENCES jobs (shop_id, id);
ALTER TABLE job_tasks ADD CONSTRAINT job_tasks_of_job FOREIGN KEY IF NOT EXISTS (shop_id, job_id) REFERENCES jobs (shop_id, id);
ALTER TABLE photos ADD CONSTRAINT photos_of_job FOREIGN KEY IF NOT EXISTS (shop_id, job_id) REFERENCES jobs (shop_id, id);
-- What a quick job stands on until somebody keeps it: in no list, and found by its job alone.
ALTER TABLE engine_models ADD COLUMN IF NOT EXISTS quick BOOLEAN NOT NULL DEFAULT FALSE;
ALTER TABLE machines ADD COLUMN IF NOT EXISTS quick BOOLEAN NOT NULL DEFAULT FALSE;
ALTER TABLE customers ADD COLUMN IF NOT EXISTS quick BOOLEAN NOT NULL DEFAULT FALSE;
-- Whether a person is led one thing at a time, or says what needs no look together.
ALTER TABLE people ADD COLUMN IF NOT EXISTS hands ENUM('guided', 'practiced') NOT NULL DEFAULT 'guided';
