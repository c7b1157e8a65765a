-- Requests that make something carry an id of the browser's: one that comes again is answered as it was, and makes nothing.
CREATE TABLE asked_once (
  shop_id INT UNSIGNED NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  request_hash CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  answer MEDIUMTEXT NULL,
  asked_at DATETIME(3) NOT NULL,
  PRIMARY KEY (shop_id, id),
  KEY asked_once_age (asked_at)
) ENGINE = InnoDB;
