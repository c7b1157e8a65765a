-- How this shop likes to find its stops; empty where it has no favourite. A job may take another.
ALTER TABLE shops ADD COLUMN favourite_school VARCHAR(20) NULL AFTER unit;
