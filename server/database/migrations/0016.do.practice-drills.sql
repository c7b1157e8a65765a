-- What a practice run was about ('' for the whole work), and what went wrong in it: null for runs kept before that.
ALTER TABLE practice_runs ADD COLUMN drill VARCHAR(12) CHARACTER SET ascii COLLATE ascii_bin NOT NULL DEFAULT '' AFTER guidance;
ALTER TABLE practice_runs ADD COLUMN slips JSON NULL AFTER acts;
ALTER TABLE practice_runs ADD KEY practice_runs_lately (shop_id, handed_over_at);
