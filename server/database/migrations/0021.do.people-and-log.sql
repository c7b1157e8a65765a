-- Whoever leaves keeps the name on what they signed, and nobody signs in as them. A lead's one-time code, by its hash.
ALTER TABLE people ADD COLUMN IF NOT EXISTS ended_at DATETIME(3) NULL;
ALTER TABLE people ADD COLUMN IF NOT EXISTS code_hash VARCHAR(255) CHARACTER SET ascii NULL;
ALTER TABLE people ADD COLUMN IF NOT EXISTS code_until DATETIME(3) NULL;
ALTER TABLE people ADD COLUMN IF NOT EXISTS unit ENUM('mm', 'thou') NULL;
-- Sign-ins, and changes outside of jobs: who, when, what. Kept for two years.
CREATE TABLE IF NOT EXISTS shop_log (
  id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  shop_id INT UNSIGNED NOT NULL,
  at DATETIME(3) NOT NULL,
  person_id INT UNSIGNED NULL,
  person VARCHAR(60) NOT NULL,
  kind VARCHAR(40) CHARACTER SET ascii NOT NULL,
  what VARCHAR(120) NOT NULL,
  KEY shop_log_shop (shop_id, id),
  KEY shop_log_old (at),
  CONSTRAINT shop_log_of_shop FOREIGN KEY (shop_id) REFERENCES shops (id)
) ENGINE = InnoDB;
