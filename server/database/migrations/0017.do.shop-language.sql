-- The language that owners are written in of whom nobody has said; null for that of whoever writes.
ALTER TABLE shops ADD COLUMN language CHAR(2) CHARACTER SET ascii COLLATE ascii_bin NULL;
