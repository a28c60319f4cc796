-- The home test of a thing, part by part.
CREATE TABLE home_tests (
	client_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	thing_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	part ENUM('moves', 'helmet', 'socks', 'rain', 'zips', 'batteries') NOT NULL,
	result ENUM('pass', 'fail', 'not done') NOT NULL,
	said_at DATETIME(3) NOT NULL,
	PRIMARY KEY (thing_id, part),
	KEY home_tests_of_client (client_id),
	CONSTRAINT home_tests_client FOREIGN KEY (client_id) REFERENCES clients (id) ON DELETE CASCADE,
	CONSTRAINT home_tests_thing FOREIGN KEY (thing_id) REFERENCES things (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- Photos of things: small JPEGs that the server wrote itself, without anything that the camera added.
CREATE TABLE client_photos (
	id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL PRIMARY KEY,
	client_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	thing_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	width SMALLINT UNSIGNED NOT NULL,
	height SMALLINT UNSIGNED NOT NULL,
	image MEDIUMBLOB NOT NULL,
	came_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
	KEY photos_of_client (client_id, came_at),
	CONSTRAINT photos_client FOREIGN KEY (client_id) REFERENCES clients (id) ON DELETE CASCADE,
	CONSTRAINT photos_thing FOREIGN KEY (thing_id) REFERENCES things (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- Where a client gets mail, as the client says.
CREATE TABLE client_addresses (
	client_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL PRIMARY KEY,
	mail VARCHAR(254) NOT NULL,
	said_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
	CONSTRAINT addresses_client FOREIGN KEY (client_id) REFERENCES clients (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- Mail that went out, or would have: the secret of a link stands in the mail only.
CREATE TABLE client_mail (
	id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL PRIMARY KEY,
	trip_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	client_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	sent_to VARCHAR(254) NOT NULL,
	subject VARCHAR(200) NOT NULL,
	text VARCHAR(4000) NOT NULL,
	made_by VARCHAR(120) NOT NULL,
	is_simulated BOOLEAN NOT NULL,
	sent_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
	KEY mail_on_trip (trip_id, sent_at),
	CONSTRAINT mail_trip FOREIGN KEY (trip_id) REFERENCES trips (id) ON DELETE CASCADE,
	CONSTRAINT mail_client FOREIGN KEY (client_id) REFERENCES clients (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- Questions that a house asks all its clients, in the languages that it writes them in.
CREATE TABLE house_questions (
	id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL PRIMARY KEY,
	house_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	english VARCHAR(300) NOT NULL,
	german VARCHAR(300) NOT NULL DEFAULT '',
	made_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
	deleted_at DATETIME(3) NULL,
	KEY questions_of_house (house_id, deleted_at, made_at),
	CONSTRAINT house_questions_house FOREIGN KEY (house_id) REFERENCES houses (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
