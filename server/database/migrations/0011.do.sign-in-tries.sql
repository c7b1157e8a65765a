-- Tries are counted before a password is looked at. A subject is a name at an address, a name on a device, a name, or an
-- address, hashed.
CREATE TABLE sign_in_tries (
  subject CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
  tries INT UNSIGNED NOT NULL,
  last_at DATETIME(3) NOT NULL,
  free_at DATETIME(3) NOT NULL,
  KEY sign_in_tries_age (last_at)
) ENGINE = InnoDB;
