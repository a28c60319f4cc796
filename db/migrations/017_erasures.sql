-- Clients who were erased for good, as hashes of their ids: a copy that still holds them does not bring them back.
CREATE TABLE erasures (
	client_hash CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
	house_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	erased_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
	KEY erasures_of_house (house_id),
	CONSTRAINT erasures_in_house FOREIGN KEY (house_id) REFERENCES houses (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
