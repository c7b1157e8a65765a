-- Devices on which a lead lets the crew change hands by a PIN. The device holds a key; only its hash is here.
CREATE TABLE IF NOT EXISTS trusted_devices (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  shop_id INT UNSIGNED NOT NULL,
  name VARCHAR(60) NOT NULL,
  key_hash CHAR(64) CHARACTER SET ascii NOT NULL,
  person_id INT UNSIGNED NOT NULL,
  made_at DATETIME(3) NOT NULL,
  used_at DATETIME(3) NULL,
  UNIQUE KEY trusted_devices_key (key_hash),
  KEY trusted_devices_shop (shop_id, id),
  CONSTRAINT trusted_devices_person FOREIGN KEY (shop_id, person_id) REFERENCES people (shop_id, id)
) ENGINE = InnoDB;
ALTER TABLE people ADD COLUMN IF NOT EXISTS pin_hash VARCHAR(255) CHARACTER SET ascii NULL;
-- The device by whose trust a session began: it ends with it, and is no lead's session.
ALTER TABLE sessions ADD COLUMN IF NOT EXISTS trusted_device_id INT UNSIGNED NULL;
