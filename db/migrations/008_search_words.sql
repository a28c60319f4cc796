-- Names are found by any part of a word, in an index: each word is kept from each of its letters on, so that what stands in the
-- middle of it is the beginning of a row. What writes a name writes its words.
CREATE TABLE search_words (
	house_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	kind ENUM('trip', 'client') NOT NULL,
	word VARCHAR(40) NOT NULL,
	of_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	PRIMARY KEY (house_id, kind, word, of_id),
	KEY words_of (kind, of_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
INSERT IGNORE INTO search_words (house_id, kind, word, of_id)
	SELECT t.house_id, 'trip', LEFT(SUBSTRING_INDEX(SUBSTRING(CONCAT(t.name, ' ', t.place), letter.seq), ' ', 1), 40), t.id
	FROM trips t JOIN seq_1_to_241 letter ON letter.seq <= CHAR_LENGTH(CONCAT(t.name, ' ', t.place))
	WHERE SUBSTRING(CONCAT(t.name, ' ', t.place), letter.seq, 1) <> ' ';
INSERT IGNORE INTO search_words (house_id, kind, word, of_id)
	SELECT c.house_id, 'client', LEFT(SUBSTRING_INDEX(SUBSTRING(c.name, letter.seq), ' ', 1), 40), c.id
	FROM clients c JOIN seq_1_to_241 letter ON letter.seq <= CHAR_LENGTH(c.name)
	WHERE SUBSTRING(c.name, letter.seq, 1) <> ' ';

-- The season is read in the order in which it is shown: trips without a date come last, and are never over.
ALTER TABLE trips
	DROP COLUMN search_text,
	ADD COLUMN leaves DATE AS (COALESCE(first_date, DATE '9999-12-31')) PERSISTENT,
	ADD COLUMN ends DATE AS (COALESCE(last_date, DATE '9999-12-31')) PERSISTENT,
	DROP KEY trips_by_departure,
	ADD KEY trips_ahead (house_id, deleted_at, leaves, name, ends),
	ADD KEY trips_over (house_id, deleted_at, last_date DESC, name);
