CREATE TABLE customers (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  shop_id INT UNSIGNED NOT NULL,
  name VARCHAR(80) NOT NULL,
  contact VARCHAR(120) NOT NULL DEFAULT '',
  UNIQUE KEY customers_shop (shop_id, id),
  CONSTRAINT customers_of_shop FOREIGN KEY (shop_id) REFERENCES shops (id)
) ENGINE = InnoDB;

CREATE TABLE engine_models (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  shop_id INT UNSIGNED NOT NULL,
  maker VARCHAR(60) NOT NULL,
  model VARCHAR(60) NOT NULL,
  code VARCHAR(40) NOT NULL DEFAULT '',
  kind VARCHAR(40) NOT NULL DEFAULT '',
  UNIQUE KEY engine_models_shop (shop_id, id),
  UNIQUE KEY engine_models_name (shop_id, maker, model, code),
  CONSTRAINT engine_models_of_shop FOREIGN KEY (shop_id) REFERENCES shops (id)
) ENGINE = InnoDB;

CREATE TABLE spec_revisions (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  shop_id INT UNSIGNED NOT NULL,
  model_id INT UNSIGNED NOT NULL,
  revision INT UNSIGNED NOT NULL,
  engine JSON NOT NULL,
  source VARCHAR(160) NOT NULL,
  source_date DATE NOT NULL,
  author_id INT UNSIGNED NOT NULL,
  created_at DATETIME(3) NOT NULL,
  approved_by INT UNSIGNED NULL,
  approved_at DATETIME(3) NULL,
  UNIQUE KEY spec_revisions_shop (shop_id, id),
  UNIQUE KEY spec_revisions_number (shop_id, model_id, revision),
  CONSTRAINT spec_revisions_of_model FOREIGN KEY (shop_id, model_id) REFERENCES engine_models (shop_id, id),
  CONSTRAINT spec_revisions_author FOREIGN KEY (shop_id, author_id) REFERENCES people (shop_id, id),
  CONSTRAINT spec_revisions_approver FOREIGN KEY (shop_id, approved_by) REFERENCES people (shop_id, id)
) ENGINE = InnoDB;

CREATE TABLE machines (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  shop_id INT UNSIGNED NOT NULL,
  customer_id INT UNSIGNED NOT NULL,
  model_id INT UNSIGNED NOT NULL,
  name VARCHAR(80) NOT NULL,
  tag VARCHAR(20) NOT NULL,
  serial VARCHAR(60) NOT NULL DEFAULT '',
  meter_unit ENUM('h', 'km', 'mi') NOT NULL,
  created_at DATETIME(3) NOT NULL,
  UNIQUE KEY machines_shop (shop_id, id),
  UNIQUE KEY machines_tag (shop_id, tag),
  CONSTRAINT machines_of_customer FOREIGN KEY (shop_id, customer_id) REFERENCES customers (shop_id, id),
  CONSTRAINT machines_of_model FOREIGN KEY (shop_id, model_id) REFERENCES engine_models (shop_id, id)
) ENGINE = InnoDB;

CREATE TABLE blade_sets (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  shop_id INT UNSIGNED NOT NULL,
  name VARCHAR(60) NOT NULL,
  unit ENUM('mm', 'thou') NOT NULL,
  blades_mm JSON NOT NULL,
  UNIQUE KEY blade_sets_shop (shop_id, id),
  UNIQUE KEY blade_sets_name (shop_id, name),
  CONSTRAINT blade_sets_of_shop FOREIGN KEY (shop_id) REFERENCES shops (id)
) ENGINE = InnoDB;
