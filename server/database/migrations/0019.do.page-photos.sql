-- The page that a revision's figures were read from, as it was photographed: its source, kept with it.
CREATE TABLE IF NOT EXISTS page_photos (
  shop_id INT UNSIGNED NOT NULL,
  revision_id INT UNSIGNED NOT NULL,
  width SMALLINT UNSIGNED NOT NULL,
  height SMALLINT UNSIGNED NOT NULL,
  picture MEDIUMBLOB NOT NULL,
  small MEDIUMBLOB NOT NULL,
  person_id INT UNSIGNED NOT NULL,
  made_at DATETIME(3) NOT NULL,
  PRIMARY KEY (shop_id, revision_id),
  CONSTRAINT page_photos_of FOREIGN KEY (shop_id, revision_id) REFERENCES spec_revisions (shop_id, id),
  CONSTRAINT page_photos_person FOREIGN KEY (shop_id, person_id) REFERENCES people (shop_id, id)
) ENGINE = InnoDB;
