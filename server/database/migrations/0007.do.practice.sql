-- Practice runs that were handed over: what was done, as it was done, and how it was marked.
CREATE TABLE practice_runs (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  shop_id INT UNSIGNED NOT NULL,
  person_id INT UNSIGNED NOT NULL,
  engine_id VARCHAR(40) CHARACTER SET ascii COLLATE ascii_general_ci NOT NULL,
  level TINYINT UNSIGNED NOT NULL,
  seed INT UNSIGNED NOT NULL,
  guidance VARCHAR(12) CHARACTER SET ascii NOT NULL,
  score TINYINT UNSIGNED NOT NULL,
  seconds INT UNSIGNED NOT NULL,
  acts JSON NOT NULL,
  handed_over_at DATETIME(3) NOT NULL,
  KEY practice_runs_best (shop_id, engine_id, level, person_id, score, seconds),
  CONSTRAINT practice_runs_person FOREIGN KEY (shop_id, person_id) REFERENCES people (shop_id, id)
);
