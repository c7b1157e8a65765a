-- Several shops on one server: the short name and the host that a shop is asked for by at sign-in, what it may have at
-- most, when it was closed, and when it goes.
ALTER TABLE shops ADD COLUMN IF NOT EXISTS short_name VARCHAR(40) CHARACTER SET ascii NULL;
ALTER TABLE shops ADD COLUMN IF NOT EXISTS host VARCHAR(253) CHARACTER SET ascii NULL;
ALTER TABLE shops ADD COLUMN IF NOT EXISTS most_people INT UNSIGNED NULL;
ALTER TABLE shops ADD COLUMN IF NOT EXISTS most_photo_mb INT UNSIGNED NULL;
ALTER TABLE shops ADD COLUMN IF NOT EXISTS closed_at DATETIME(3) NULL;
ALTER TABLE shops ADD COLUMN IF NOT EXISTS goes_at DATETIME(3) NULL;
ALTER TABLE shops ADD UNIQUE INDEX IF NOT EXISTS shops_short_name (short_name);
ALTER TABLE shops ADD UNIQUE INDEX IF NOT EXISTS shops_host (host);
-- A sign-in name is one person's in a shop, and may be another's in the next.
ALTER TABLE people ADD UNIQUE INDEX IF NOT EXISTS people_signs_in (shop_id, sign_in);
ALTER TABLE people ADD INDEX IF NOT EXISTS people_by_sign_in (sign_in);
ALTER TABLE people DROP INDEX IF EXISTS people_sign_in;
-- Whoever runs the server: the first lead of its first shop, until another is named.
ALTER TABLE people ADD COLUMN IF NOT EXISTS runs_server TINYINT(1) NOT NULL DEFAULT 0;
UPDATE people SET runs_server = 1 WHERE id = (
  SELECT id FROM (SELECT p.id FROM people p WHERE p.role = 'lead' AND p.ended_at IS NULL ORDER BY p.shop_id, p.id LIMIT 1) first_lead
) AND NOT EXISTS (SELECT 1 FROM (SELECT id FROM people WHERE runs_server = 1 LIMIT 1) runs);
-- How much room a picture takes, so that a shop's can be summed without reading one.
ALTER TABLE photos ADD COLUMN IF NOT EXISTS bytes INT UNSIGNED AS (LENGTH(picture) + LENGTH(small)) PERSISTENT;
ALTER TABLE photos ADD INDEX IF NOT EXISTS photos_room (shop_id, bytes);
ALTER TABLE page_photos ADD COLUMN IF NOT EXISTS bytes INT UNSIGNED AS (LENGTH(picture) + LENGTH(small)) PERSISTENT;
ALTER TABLE page_photos ADD INDEX IF NOT EXISTS page_photos_room (shop_id, bytes);
-- Answers that were kept to be given again had secrets among them: tokens, addresses, codes.
UPDATE asked_once SET answer = NULL;
