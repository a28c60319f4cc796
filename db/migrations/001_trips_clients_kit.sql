-- Aggregates: a trip with its stages, a client, a thing of a client's kit. Each carries its version, which grows with
-- every write and guards against lost updates, and deleted_at, so that a deletion can be undone.

CREATE TABLE trips (
	id VARCHAR(64) NOT NULL PRIMARY KEY,
	name VARCHAR(120) NOT NULL,
	place VARCHAR(120) NOT NULL DEFAULT '',
	weathers JSON NOT NULL,
	version INT UNSIGNED NOT NULL DEFAULT 1,
	deleted_at DATETIME(3) NULL,
	created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
	updated_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
	KEY trips_live (deleted_at, name)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE stages (
	trip_id VARCHAR(64) NOT NULL,
	id VARCHAR(64) NOT NULL,
	position SMALLINT UNSIGNED NOT NULL,
	name VARCHAR(120) NOT NULL,
	stage_date DATE NOT NULL,
	start_min SMALLINT UNSIGNED NOT NULL,
	base JSON NOT NULL,
	sequence JSON NOT NULL,
	PRIMARY KEY (trip_id, id),
	KEY stages_in_order (trip_id, position),
	KEY stages_by_date (stage_date),
	CONSTRAINT stages_of_trip FOREIGN KEY (trip_id) REFERENCES trips (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE clients (
	id VARCHAR(64) NOT NULL PRIMARY KEY,
	name VARCHAR(120) NOT NULL,
	offset_clo JSON NOT NULL,
	careful JSON NOT NULL,
	answered_parts JSON NOT NULL,
	version INT UNSIGNED NOT NULL DEFAULT 1,
	deleted_at DATETIME(3) NULL,
	created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
	updated_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
	KEY clients_live (deleted_at, name)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE trip_clients (
	trip_id VARCHAR(64) NOT NULL,
	client_id VARCHAR(64) NOT NULL,
	enrolled_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
	PRIMARY KEY (trip_id, client_id),
	KEY trips_of_client (client_id),
	CONSTRAINT enrolled_in_trip FOREIGN KEY (trip_id) REFERENCES trips (id) ON DELETE CASCADE,
	CONSTRAINT enrolled_client FOREIGN KEY (client_id) REFERENCES clients (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE things (
	id VARCHAR(64) NOT NULL PRIMARY KEY,
	client_id VARCHAR(64) NOT NULL,
	type_id VARCHAR(64) NOT NULL,
	name VARCHAR(120) NOT NULL,
	quantity JSON NOT NULL,
	in_pairs BOOLEAN NOT NULL DEFAULT FALSE,
	facts JSON NOT NULL,
	version INT UNSIGNED NOT NULL DEFAULT 1,
	deleted_at DATETIME(3) NULL,
	created_at DATETIME(6) NOT NULL DEFAULT CURRENT_TIMESTAMP(6),
	updated_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
	KEY things_of_client (client_id, created_at),
	CONSTRAINT kit_of_client FOREIGN KEY (client_id) REFERENCES clients (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
