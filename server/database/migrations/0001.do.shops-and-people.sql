CREATE TABLE shops (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  name VARCHAR(80) NOT NULL,
  time_zone VARCHAR(60) NOT NULL,
  unit ENUM('mm', 'thou') NOT NULL DEFAULT 'mm',
  demo ENUM('no', 'loading', 'ready') NOT NULL DEFAULT 'no',
  created_at DATETIME(3) NOT NULL
) ENGINE = InnoDB;

CREATE TABLE people (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  shop_id INT UNSIGNED NOT NULL,
  sign_in VARCHAR(60) NOT NULL,
  name VARCHAR(60) NOT NULL,
  role ENUM('lead', 'mechanic') NOT NULL,
  password_hash VARCHAR(200) NOT NULL,
  session_version INT UNSIGNED NOT NULL DEFAULT 1,
  created_at DATETIME(3) NOT NULL,
  UNIQUE KEY people_sign_in (sign_in),
  UNIQUE KEY people_shop (shop_id, id),
  CONSTRAINT people_of_shop FOREIGN KEY (shop_id) REFERENCES shops (id)
) ENGINE = InnoDB;

CREATE TABLE sign_in_attempts (
  subject VARCHAR(120) NOT NULL PRIMARY KEY,
  failures INT UNSIGNED NOT NULL,
  window_from DATETIME(3) NOT NULL
) ENGINE = InnoDB;
