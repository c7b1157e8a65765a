ALTER TABLE customers ADD COLUMN email VARCHAR(120) NOT NULL DEFAULT '' AFTER contact, ADD KEY customers_name (shop_id, name);
ALTER TABLE machines ADD COLUMN plate VARCHAR(20) NOT NULL DEFAULT '' AFTER serial, ADD KEY machines_name (shop_id, name);
ALTER TABLE jobs
  ADD COLUMN assigned_to INT UNSIGNED NULL AFTER status,
  -- Place on the board among the jobs of the same person; smaller is sooner.
  ADD COLUMN board_place DOUBLE NOT NULL DEFAULT 0 AFTER assigned_to,
  ADD KEY jobs_closed (shop_id, closed_at),
  ADD CONSTRAINT jobs_assigned FOREIGN KEY (shop_id, assigned_to) REFERENCES people (shop_id, id);
UPDATE jobs SET board_place = id;
ALTER TABLE shops
  ADD COLUMN board_version INT UNSIGNED NOT NULL DEFAULT 0,
  -- How long work takes, for the order of the day.
  ADD COLUMN valve_minutes SMALLINT UNSIGNED NOT NULL DEFAULT 45,
  ADD COLUMN task_minutes SMALLINT UNSIGNED NOT NULL DEFAULT 20;

-- What else a visit is for, and whether it wants the engine cold, warm, or either.
CREATE TABLE job_tasks (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  shop_id INT UNSIGNED NOT NULL,
  job_id INT UNSIGNED NOT NULL,
  name VARCHAR(80) NOT NULL,
  needs ENUM('cold', 'warm', 'either') NOT NULL,
  done_by INT UNSIGNED NULL,
  done_at DATETIME(3) NULL,
  -- Why it was done while it was held.
  because VARCHAR(160) NOT NULL DEFAULT '',
  KEY job_tasks_job (shop_id, job_id),
  KEY job_tasks_to_do (shop_id, done_at, job_id),
  CONSTRAINT job_tasks_of_job FOREIGN KEY (shop_id, job_id) REFERENCES jobs (shop_id, id),
  CONSTRAINT job_tasks_doer FOREIGN KEY (shop_id, done_by) REFERENCES people (shop_id, id)
) ENGINE = InnoDB;

-- Every time a machine's meter was read: when a job was opened, when somebody told it, when an engine was put in, by a visit of before.
CREATE TABLE meter_readings (
  shop_id INT UNSIGNED NOT NULL,
  machine_id INT UNSIGNED NOT NULL,
  source ENUM('job', 'past visit', 'record') NOT NULL,
  source_id INT UNSIGNED NOT NULL,
  at DATETIME(3) NOT NULL,
  meter DECIMAL(10, 1) NOT NULL,
  replaced BOOLEAN NOT NULL DEFAULT FALSE,
  PRIMARY KEY (shop_id, source, source_id),
  KEY meter_readings_machine (shop_id, machine_id, at),
  CONSTRAINT meter_readings_of FOREIGN KEY (shop_id, machine_id) REFERENCES machines (shop_id, id)
) ENGINE = InnoDB;
INSERT INTO meter_readings (shop_id, machine_id, source, source_id, at, meter, replaced)
  SELECT shop_id, machine_id, 'job', id, opened_at, meter, COALESCE(meter < LAG(meter) OVER (PARTITION BY shop_id, machine_id ORDER BY opened_at, id), FALSE)
  FROM jobs WHERE meter IS NOT NULL;

-- What happened to a machine outside its jobs: another owner, another engine, a meter that was told, a double taken in.
CREATE TABLE machine_records (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  shop_id INT UNSIGNED NOT NULL,
  machine_id INT UNSIGNED NOT NULL,
  kind ENUM('owner', 'engine', 'meter', 'merged') NOT NULL,
  at DATETIME(3) NOT NULL,
  words VARCHAR(300) NOT NULL,
  person_id INT UNSIGNED NOT NULL,
  made_at DATETIME(3) NOT NULL,
  UNIQUE KEY machine_records_shop (shop_id, id),
  KEY machine_records_machine (shop_id, machine_id, at),
  CONSTRAINT machine_records_of FOREIGN KEY (shop_id, machine_id) REFERENCES machines (shop_id, id),
  CONSTRAINT machine_records_person FOREIGN KEY (shop_id, person_id) REFERENCES people (shop_id, id)
) ENGINE = InnoDB;

-- A visit that was written down elsewhere, entered late. What was found and left stands in one column, valve by valve.
CREATE TABLE past_visits (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  shop_id INT UNSIGNED NOT NULL,
  machine_id INT UNSIGNED NOT NULL,
  at DATETIME(3) NOT NULL,
  valves JSON NOT NULL,
  words VARCHAR(200) NOT NULL DEFAULT '',
  person_id INT UNSIGNED NOT NULL,
  made_at DATETIME(3) NOT NULL,
  UNIQUE KEY past_visits_shop (shop_id, id),
  KEY past_visits_machine (shop_id, machine_id, at),
  CONSTRAINT past_visits_of FOREIGN KEY (shop_id, machine_id) REFERENCES machines (shop_id, id),
  CONSTRAINT past_visits_person FOREIGN KEY (shop_id, person_id) REFERENCES people (shop_id, id)
) ENGINE = InnoDB;

CREATE TABLE photos (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  shop_id INT UNSIGNED NOT NULL,
  machine_id INT UNSIGNED NOT NULL,
  job_id INT UNSIGNED NULL,
  caption VARCHAR(120) NOT NULL DEFAULT '',
  width SMALLINT UNSIGNED NOT NULL,
  height SMALLINT UNSIGNED NOT NULL,
  picture MEDIUMBLOB NOT NULL,
  small MEDIUMBLOB NOT NULL,
  person_id INT UNSIGNED NOT NULL,
  made_at DATETIME(3) NOT NULL,
  KEY photos_machine (shop_id, machine_id, id),
  KEY photos_job (shop_id, job_id, id),
  CONSTRAINT photos_of_machine FOREIGN KEY (shop_id, machine_id) REFERENCES machines (shop_id, id),
  CONSTRAINT photos_of_job FOREIGN KEY (shop_id, job_id) REFERENCES jobs (shop_id, id),
  CONSTRAINT photos_person FOREIGN KEY (shop_id, person_id) REFERENCES people (shop_id, id)
) ENGINE = InnoDB;

-- How each valve of a machine drifts and when the machine is due, as last worked out: made anew from the readings at any time.
CREATE TABLE valve_drifts (
  shop_id INT UNSIGNED NOT NULL,
  machine_id INT UNSIGNED NOT NULL,
  valve_id VARCHAR(30) NOT NULL,
  model_id INT UNSIGNED NOT NULL,
  per_use DOUBLE NOT NULL,
  sigma DOUBLE NOT NULL,
  PRIMARY KEY (shop_id, machine_id, valve_id),
  KEY valve_drifts_family (shop_id, model_id, valve_id, machine_id),
  CONSTRAINT valve_drifts_of FOREIGN KEY (shop_id, machine_id) REFERENCES machines (shop_id, id) ON DELETE CASCADE
) ENGINE = InnoDB;
CREATE TABLE machine_due (
  shop_id INT UNSIGNED NOT NULL,
  machine_id INT UNSIGNED NOT NULL,
  due_at DATETIME(3) NULL,
  reasons JSON NOT NULL,
  first_meter DECIMAL(10, 1) NULL,
  use_per_day DOUBLE NULL,
  stale BOOLEAN NOT NULL DEFAULT FALSE,
  PRIMARY KEY (shop_id, machine_id),
  KEY machine_due_date (shop_id, due_at),
  KEY machine_due_stale (stale, shop_id),
  CONSTRAINT machine_due_of FOREIGN KEY (shop_id, machine_id) REFERENCES machines (shop_id, id) ON DELETE CASCADE
) ENGINE = InnoDB;

CREATE TABLE reminders (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  shop_id INT UNSIGNED NOT NULL,
  customer_id INT UNSIGNED NOT NULL,
  machine_ids JSON NOT NULL,
  how ENUM('copied', 'printed', 'sent') NOT NULL,
  text TEXT NOT NULL,
  person_id INT UNSIGNED NOT NULL,
  told_at DATETIME(3) NOT NULL,
  KEY reminders_customer (shop_id, customer_id, told_at),
  CONSTRAINT reminders_of FOREIGN KEY (shop_id, customer_id) REFERENCES customers (shop_id, id),
  CONSTRAINT reminders_person FOREIGN KEY (shop_id, person_id) REFERENCES people (shop_id, id)
) ENGINE = InnoDB;

CREATE TABLE calendar_addresses (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  shop_id INT UNSIGNED NOT NULL,
  hash CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  made_by INT UNSIGNED NOT NULL,
  made_at DATETIME(3) NOT NULL,
  ended_at DATETIME(3) NULL,
  UNIQUE KEY calendar_addresses_hash (hash),
  KEY calendar_addresses_shop (shop_id, ended_at),
  CONSTRAINT calendar_addresses_maker FOREIGN KEY (shop_id, made_by) REFERENCES people (shop_id, id)
) ENGINE = InnoDB;
