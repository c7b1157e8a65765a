-- What is known of the installation itself: the version that used it last, and when it came.
CREATE TABLE IF NOT EXISTS installation (
  name VARCHAR(40) CHARACTER SET ascii NOT NULL PRIMARY KEY,
  value VARCHAR(200) NOT NULL,
  at DATETIME(3) NOT NULL
) ENGINE = InnoDB;
