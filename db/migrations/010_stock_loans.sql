-- What the house has to lend, things that are alike together, and who gets what of it on which trip. A loan that is not to be
-- made is a row too, so that it is not proposed again.

CREATE TABLE stock (
	id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL PRIMARY KEY,
	house_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	type_id VARCHAR(64) NOT NULL,
	name VARCHAR(120) NOT NULL,
	label VARCHAR(60) NOT NULL DEFAULT '',
	facts JSON NOT NULL,
	pieces SMALLINT UNSIGNED NOT NULL DEFAULT 1,
	state ENUM('ready', 'wet', 'mending') NOT NULL DEFAULT 'ready',
	back_on DATE NULL,
	cost DECIMAL(10, 2) NOT NULL DEFAULT 0,
	version INT UNSIGNED NOT NULL DEFAULT 1,
	deleted_at DATETIME(3) NULL,
	created_at DATETIME(6) NOT NULL DEFAULT CURRENT_TIMESTAMP(6),
	KEY stock_of_house (house_id, deleted_at, created_at),
	CONSTRAINT stock_in_house FOREIGN KEY (house_id) REFERENCES houses (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE loans (
	trip_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	client_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	stock_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	lend BOOLEAN NOT NULL,
	decided_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
	PRIMARY KEY (trip_id, client_id, stock_id),
	KEY loans_of_stock (stock_id, lend),
	CONSTRAINT loans_of_trip FOREIGN KEY (trip_id) REFERENCES trips (id) ON DELETE CASCADE,
	CONSTRAINT loans_of_client FOREIGN KEY (client_id) REFERENCES clients (id) ON DELETE CASCADE,
	CONSTRAINT loans_from_stock FOREIGN KEY (stock_id) REFERENCES stock (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
