CREATE TABLE jobs (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  shop_id INT UNSIGNED NOT NULL,
  number INT UNSIGNED NOT NULL,
  machine_id INT UNSIGNED NOT NULL,
  spec_revision_id INT UNSIGNED NOT NULL,
  meter DECIMAL(10, 1) NULL,
  pin JSON NOT NULL,
  status ENUM('open', 'held', 'abandoned', 'closed') NOT NULL DEFAULT 'open',
  last_seq INT UNSIGNED NOT NULL DEFAULT 0,
  opened_at DATETIME(3) NOT NULL,
  closed_at DATETIME(3) NULL,
  UNIQUE KEY jobs_shop (shop_id, id),
  UNIQUE KEY jobs_number (shop_id, number),
  KEY jobs_status (shop_id, status, opened_at),
  KEY jobs_machine (shop_id, machine_id, closed_at),
  CONSTRAINT jobs_of_machine FOREIGN KEY (shop_id, machine_id) REFERENCES machines (shop_id, id),
  CONSTRAINT jobs_of_spec FOREIGN KEY (shop_id, spec_revision_id) REFERENCES spec_revisions (shop_id, id)
) ENGINE = InnoDB;

CREATE TABLE events (
  shop_id INT UNSIGNED NOT NULL,
  job_id INT UNSIGNED NOT NULL,
  seq INT UNSIGNED NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  type VARCHAR(30) NOT NULL,
  version SMALLINT UNSIGNED NOT NULL,
  payload JSON NOT NULL,
  person_id INT UNSIGNED NOT NULL,
  person_name VARCHAR(60) NOT NULL,
  device_id VARCHAR(40) NOT NULL,
  device_seq INT UNSIGNED NOT NULL,
  seen_seq INT UNSIGNED NOT NULL,
  at VARCHAR(35) NOT NULL,
  server_at DATETIME(3) NOT NULL,
  body_hash CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  PRIMARY KEY (shop_id, job_id, seq),
  UNIQUE KEY events_id (shop_id, id),
  KEY events_device (shop_id, job_id, device_id, device_seq),
  CONSTRAINT events_of_job FOREIGN KEY (shop_id, job_id) REFERENCES jobs (shop_id, id),
  CONSTRAINT events_person FOREIGN KEY (shop_id, person_id) REFERENCES people (shop_id, id)
) ENGINE = InnoDB;

CREATE TABLE readings (
  shop_id INT UNSIGNED NOT NULL,
  job_id INT UNSIGNED NOT NULL,
  valve_id VARCHAR(30) NOT NULL,
  phase ENUM('as found', 'before lock', 'nipped', 'torqued', 'proved') NOT NULL,
  round SMALLINT UNSIGNED NOT NULL,
  clearance_lo_mm DECIMAL(7, 4) NOT NULL,
  clearance_hi_mm DECIMAL(7, 4) NULL,
  verdict ENUM('in', 'tight', 'loose', 'unproved') NOT NULL,
  proof ENUM('pair', 'drag') NULL,
  PRIMARY KEY (shop_id, job_id, valve_id, phase, round),
  CONSTRAINT readings_of_job FOREIGN KEY (shop_id, job_id) REFERENCES jobs (shop_id, id)
) ENGINE = InnoDB;

CREATE TABLE sheets (
  shop_id INT UNSIGNED NOT NULL,
  job_id INT UNSIGNED NOT NULL,
  seq INT UNSIGNED NOT NULL,
  content JSON NOT NULL,
  signed_by INT UNSIGNED NOT NULL,
  signed_at DATETIME(3) NOT NULL,
  PRIMARY KEY (shop_id, job_id, seq),
  CONSTRAINT sheets_of_job FOREIGN KEY (shop_id, job_id) REFERENCES jobs (shop_id, id),
  CONSTRAINT sheets_signer FOREIGN KEY (shop_id, signed_by) REFERENCES people (shop_id, id)
) ENGINE = InnoDB;
