-- What a model is known and found by. The key is its name for files and other software.
ALTER TABLE engine_models
  ADD COLUMN model_key VARCHAR(120) CHARACTER SET ascii COLLATE ascii_general_ci NULL AFTER shop_id,
  ADD COLUMN family VARCHAR(40) NOT NULL DEFAULT '' AFTER kind,
  ADD COLUMN displacement_cc DECIMAL(7, 1) NULL AFTER family,
  ADD COLUMN year_from SMALLINT UNSIGNED NULL AFTER displacement_cc,
  ADD COLUMN year_to SMALLINT UNSIGNED NULL AFTER year_from,
  -- The newest approved revision, or the newest draft of a model that has none approved.
  ADD COLUMN in_force_id INT UNSIGNED NULL,
  ADD UNIQUE KEY engine_models_key (shop_id, model_key),
  ADD KEY engine_models_years (shop_id, year_from, year_to);
UPDATE engine_models e SET in_force_id = (
  SELECT r.id FROM spec_revisions r WHERE r.shop_id = e.shop_id AND r.model_id = e.id ORDER BY r.approved_at IS NULL, r.revision DESC LIMIT 1);

ALTER TABLE spec_revisions
  ADD COLUMN reason VARCHAR(300) NOT NULL DEFAULT '' AFTER source_date,
  ADD COLUMN based_on INT UNSIGNED NULL AFTER reason,
  -- Doubts that its author was shown and answered.
  ADD COLUMN answered JSON NOT NULL DEFAULT '[]' AFTER based_on,
  ADD COLUMN approval_reason VARCHAR(300) NOT NULL DEFAULT '' AFTER approved_at,
  ADD COLUMN sent_back_by INT UNSIGNED NULL,
  ADD COLUMN sent_back_at DATETIME(3) NULL,
  ADD COLUMN sent_back_reason VARCHAR(300) NOT NULL DEFAULT '',
  ADD CONSTRAINT spec_revisions_sender FOREIGN KEY (shop_id, sent_back_by) REFERENCES people (shop_id, id);

-- Which models have which three letters in a name; made from engine_models alone, and so without a foreign key of its own.
CREATE TABLE model_grams (
  shop_id INT UNSIGNED NOT NULL,
  gram CHAR(3) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  model_id INT UNSIGNED NOT NULL,
  PRIMARY KEY (shop_id, gram, model_id)
) ENGINE = InnoDB;
CREATE TABLE gram_counts (
  shop_id INT UNSIGNED NOT NULL,
  gram CHAR(3) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  n INT UNSIGNED NOT NULL,
  PRIMARY KEY (shop_id, gram)
) ENGINE = InnoDB;

-- A file that is being taken in: its bytes, how it is read, what each row would do. Nothing of it is in the book until it is accepted.
CREATE TABLE spec_imports (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  shop_id INT UNSIGNED NOT NULL,
  person_id INT UNSIGNED NOT NULL,
  file_name VARCHAR(120) NOT NULL,
  format ENUM('csv', 'json') NOT NULL,
  bytes INT UNSIGNED NOT NULL DEFAULT 0,
  state ENUM('uploaded', 'reading', 'preview', 'writing', 'done', 'cancelled', 'failed') NOT NULL,
  settings JSON NOT NULL,
  progress INT UNSIGNED NOT NULL DEFAULT 0,
  total INT UNSIGNED NOT NULL DEFAULT 0,
  message VARCHAR(400) NOT NULL DEFAULT '',
  created_at DATETIME(3) NOT NULL,
  -- When it last went on: one that stands still in mid-work was cut off.
  moved_at DATETIME(3) NOT NULL,
  UNIQUE KEY spec_imports_shop (shop_id, id),
  CONSTRAINT spec_imports_person FOREIGN KEY (shop_id, person_id) REFERENCES people (shop_id, id)
) ENGINE = InnoDB;
CREATE TABLE spec_import_chunks (
  shop_id INT UNSIGNED NOT NULL,
  import_id INT UNSIGNED NOT NULL,
  n INT UNSIGNED NOT NULL,
  bytes MEDIUMBLOB NOT NULL,
  PRIMARY KEY (shop_id, import_id, n),
  CONSTRAINT spec_import_chunks_of FOREIGN KEY (shop_id, import_id) REFERENCES spec_imports (shop_id, id) ON DELETE CASCADE
) ENGINE = InnoDB;
CREATE TABLE spec_import_rows (
  shop_id INT UNSIGNED NOT NULL,
  import_id INT UNSIGNED NOT NULL,
  row_no INT UNSIGNED NOT NULL,
  state ENUM('new', 'changed', 'same', 'problem') NOT NULL,
  title VARCHAR(140) NOT NULL,
  model_id INT UNSIGNED NULL,
  content JSON NULL,
  notes JSON NOT NULL DEFAULT '[]',
  PRIMARY KEY (shop_id, import_id, row_no),
  KEY spec_import_rows_state (shop_id, import_id, state, row_no),
  CONSTRAINT spec_import_rows_of FOREIGN KEY (shop_id, import_id) REFERENCES spec_imports (shop_id, id) ON DELETE CASCADE
) ENGINE = InnoDB;
-- Which column a heading was last said to be.
CREATE TABLE spec_import_headings (
  shop_id INT UNSIGNED NOT NULL,
  heading VARCHAR(80) NOT NULL,
  field VARCHAR(40) NOT NULL,
  PRIMARY KEY (shop_id, heading),
  CONSTRAINT spec_import_headings_of FOREIGN KEY (shop_id) REFERENCES shops (id)
) ENGINE = InnoDB;

-- Keys by which other software of the shop reads the book; only a hash is kept.
CREATE TABLE api_tokens (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  shop_id INT UNSIGNED NOT NULL,
  name VARCHAR(60) NOT NULL,
  hash CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  made_by INT UNSIGNED NOT NULL,
  made_at DATETIME(3) NOT NULL,
  used_at DATETIME(3) NULL,
  revoked_at DATETIME(3) NULL,
  UNIQUE KEY api_tokens_hash (hash),
  UNIQUE KEY api_tokens_shop (shop_id, id),
  CONSTRAINT api_tokens_maker FOREIGN KEY (shop_id, made_by) REFERENCES people (shop_id, id)
) ENGINE = InnoDB;
