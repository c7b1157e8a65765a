-- A session is a row: signing out ends it here, whatever copies of its cookie there are. Only a hash of its name is kept.
CREATE TABLE sessions (
  id CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
  shop_id INT UNSIGNED NOT NULL,
  person_id INT UNSIGNED NOT NULL,
  session_version INT UNSIGNED NOT NULL,
  created_at DATETIME(3) NOT NULL,
  ended_at DATETIME(3) NULL,
  KEY sessions_age (created_at),
  CONSTRAINT sessions_person FOREIGN KEY (shop_id, person_id) REFERENCES people (shop_id, id)
) ENGINE = InnoDB;
