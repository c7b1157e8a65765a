-- The device that a session is of: what it is called, and when it was last heard of.
ALTER TABLE sessions ADD COLUMN IF NOT EXISTS device_name VARCHAR(60) NOT NULL DEFAULT '';
ALTER TABLE sessions ADD COLUMN IF NOT EXISTS seen_at DATETIME(3) NULL;
