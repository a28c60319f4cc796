-- What was decided of things that a client could get for a trip: to be got, and how, or declined, and why. A thing that is to
-- be got is in the kit as assumed until it is there.

CREATE TABLE decisions (
	trip_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	client_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	type_id VARCHAR(64) NOT NULL,
	name VARCHAR(120) NOT NULL,
	decided ENUM('get', 'decline') NOT NULL,
	way ENUM('buy', 'hire', 'friend', 'repair', 'own', 'provided') NULL,
	refusal ENUM('has one', 'does not want it', 'too dear', 'too late') NULL,
	cost DECIMAL(10, 2) NOT NULL DEFAULT 0,
	days SMALLINT UNSIGNED NOT NULL DEFAULT 0,
	because VARCHAR(200) NOT NULL DEFAULT '',
	thing_id VARCHAR(64) COLLATE utf8mb4_bin NULL,
	is_there BOOLEAN NOT NULL DEFAULT FALSE,
	decided_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
	PRIMARY KEY (trip_id, client_id, type_id),
	CONSTRAINT decisions_on_trip FOREIGN KEY (trip_id) REFERENCES trips (id) ON DELETE CASCADE,
	CONSTRAINT decisions_of_client FOREIGN KEY (client_id) REFERENCES clients (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
