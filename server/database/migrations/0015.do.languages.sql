-- The language that a person reads and that an owner is written in; null where nobody has said.
ALTER TABLE people ADD COLUMN language CHAR(2) CHARACTER SET ascii COLLATE ascii_bin NULL;
ALTER TABLE customers ADD COLUMN language CHAR(2) CHARACTER SET ascii COLLATE ascii_bin NULL;
