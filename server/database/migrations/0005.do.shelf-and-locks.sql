-- Blades with what is known of each: measured size, step, bent, worn, missing. Sets of before have plain sizes in blades_mm.
ALTER TABLE blade_sets ADD COLUMN blades JSON NULL AFTER blades_mm;

-- The shop's ways of setting, and each person's favourite set.
ALTER TABLE shops
  ADD COLUMN target ENUM('middle', 'figure', 'loose-exhaust') NOT NULL DEFAULT 'middle' AFTER favourite_school,
  ADD COLUMN blade_habit ENUM('out at torque', 'in', 'out') NOT NULL DEFAULT 'out at torque' AFTER target,
  ADD COLUMN pair_to_prove BOOLEAN NOT NULL DEFAULT FALSE AFTER blade_habit;
ALTER TABLE people ADD COLUMN favourite_blade_set_id INT UNSIGNED NULL AFTER role;

CREATE TABLE wrenches (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  shop_id INT UNSIGNED NOT NULL,
  name VARCHAR(60) NOT NULL,
  unit ENUM('N·m', 'lbf·ft', 'lbf·in') NOT NULL,
  least_nm DOUBLE NOT NULL,
  most_nm DOUBLE NOT NULL,
  length_mm DECIMAL(7, 2) NOT NULL,
  calibration_due DATE NULL,
  UNIQUE KEY wrenches_shop (shop_id, id),
  UNIQUE KEY wrenches_name (shop_id, name),
  CONSTRAINT wrenches_of_shop FOREIGN KEY (shop_id) REFERENCES shops (id)
) ENGINE = InnoDB;

CREATE TABLE adapters (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  shop_id INT UNSIGNED NOT NULL,
  name VARCHAR(60) NOT NULL,
  length_mm DECIMAL(7, 2) NOT NULL,
  angle_deg DECIMAL(5, 2) NOT NULL,
  UNIQUE KEY adapters_shop (shop_id, id),
  UNIQUE KEY adapters_name (shop_id, name),
  CONSTRAINT adapters_of_shop FOREIGN KEY (shop_id) REFERENCES shops (id)
) ENGINE = InnoDB;

CREATE TABLE shim_stock (
  shop_id INT UNSIGNED NOT NULL,
  diameter_mm DECIMAL(5, 2) NOT NULL,
  size_mm DECIMAL(6, 4) NOT NULL,
  count INT UNSIGNED NOT NULL,
  PRIMARY KEY (shop_id, diameter_mm, size_mm),
  CONSTRAINT shim_stock_of_shop FOREIGN KEY (shop_id) REFERENCES shops (id)
) ENGINE = InnoDB;

-- Who made a reading, so that what locking does can be learned for each hand. Filled for older jobs by “npm run rebuild”.
ALTER TABLE readings ADD COLUMN person_id INT UNSIGNED NULL;
