-- What was there before a copy took its place, as an archive of the whole house: putting a copy back can be undone.
CREATE TABLE set_aside (
	id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
	made_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
	trips INT UNSIGNED NOT NULL,
	clients INT UNSIGNED NOT NULL,
	archive LONGBLOB NOT NULL
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
