-- The private link of a client for one trip, what they tick and ask on it, and what the house answers. Of a link's secret only a
-- hash is kept.
CREATE TABLE client_links (
	id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL PRIMARY KEY,
	token_hash CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
	trip_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	client_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	made_by VARCHAR(120) NOT NULL,
	made_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
	expires_at DATETIME(3) NOT NULL,
	ended_at DATETIME(3) NULL,
	opened_at DATETIME(3) NULL,
	seen_at DATETIME(3) NULL,
	UNIQUE KEY client_links_by_hash (token_hash),
	KEY client_links_on_trip (trip_id, client_id, made_at),
	CONSTRAINT client_links_trip FOREIGN KEY (trip_id) REFERENCES trips (id) ON DELETE CASCADE,
	CONSTRAINT client_links_client FOREIGN KEY (client_id) REFERENCES clients (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- A browser that has opened a link: the link's secret does not stay in its address.
CREATE TABLE client_visits (
	token_hash CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
	link_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	began_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
	KEY visits_of_link (link_id),
	CONSTRAINT visits_by_link FOREIGN KEY (link_id) REFERENCES client_links (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- What a client says of a line of the list. The newest word of the client holds, by the client's own clock.
CREATE TABLE client_marks (
	trip_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	client_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	line_id VARCHAR(100) COLLATE utf8mb4_bin NOT NULL,
	mark ENUM('none', 'have', 'packed', 'to get') NOT NULL,
	said_at DATETIME(3) NOT NULL,
	came_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
	PRIMARY KEY (trip_id, client_id, line_id),
	CONSTRAINT marks_trip FOREIGN KEY (trip_id) REFERENCES trips (id) ON DELETE CASCADE,
	CONSTRAINT marks_client FOREIGN KEY (client_id) REFERENCES clients (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- Questions of a client, and what the house says.
CREATE TABLE client_notes (
	id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	trip_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	client_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	said_by ENUM('client', 'house') NOT NULL,
	who VARCHAR(120) NOT NULL,
	about VARCHAR(160) NOT NULL DEFAULT '',
	text VARCHAR(1000) NOT NULL,
	said_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
	PRIMARY KEY (trip_id, client_id, id),
	KEY notes_in_order (trip_id, client_id, said_at),
	CONSTRAINT notes_trip FOREIGN KEY (trip_id) REFERENCES trips (id) ON DELETE CASCADE,
	CONSTRAINT notes_client FOREIGN KEY (client_id) REFERENCES clients (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- When somebody of the house last looked at what the clients of a trip say.
CREATE TABLE answers_looked (
	trip_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	account_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	looked_at DATETIME(3) NOT NULL,
	PRIMARY KEY (trip_id, account_id),
	CONSTRAINT looked_trip FOREIGN KEY (trip_id) REFERENCES trips (id) ON DELETE CASCADE,
	CONSTRAINT looked_account FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- What a client answered to a question. What is told of a thing stands in the kit; "I do not know" stands here only.
CREATE TABLE client_answers (
	trip_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	client_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	question_id VARCHAR(40) NOT NULL,
	answer ENUM('yes', 'unsure', 'no', 'unknown') NOT NULL,
	said_at DATETIME(3) NOT NULL,
	PRIMARY KEY (trip_id, client_id, question_id),
	CONSTRAINT answers_trip FOREIGN KEY (trip_id) REFERENCES trips (id) ON DELETE CASCADE,
	CONSTRAINT answers_client FOREIGN KEY (client_id) REFERENCES clients (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- The questions that are worth asking a client, for the kit and trip that the fingerprint tells; none while they are worked out.
CREATE TABLE client_questions (
	trip_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	client_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	fingerprint CHAR(64) NOT NULL,
	begun_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
	claim CHAR(36) NOT NULL,
	questions MEDIUMTEXT NULL,
	PRIMARY KEY (trip_id, client_id),
	CONSTRAINT questions_trip FOREIGN KEY (trip_id) REFERENCES trips (id) ON DELETE CASCADE,
	CONSTRAINT questions_client FOREIGN KEY (client_id) REFERENCES clients (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
