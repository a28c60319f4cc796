-- Everything belongs to a house, so that signing in is one step later. What is known of a client beyond the name is rows;
-- what the operator provides is rows of things. Wishes, the queue of work and stored plans are three tables. Stages are
-- updated by id from now on.

CREATE TABLE houses (
	id VARCHAR(64) NOT NULL PRIMARY KEY,
	name VARCHAR(120) NOT NULL,
	schools JSON NOT NULL,
	version INT UNSIGNED NOT NULL DEFAULT 1
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

INSERT INTO houses (id, name, schools, version) SELECT 'house-1', 'Our house', schools, version FROM house;
INSERT IGNORE INTO houses (id, name, schools) VALUES ('house-1', 'Our house', '{}');
DROP TABLE house;

ALTER TABLE trips
	ADD COLUMN house_id VARCHAR(64) NOT NULL DEFAULT 'house-1' AFTER id,
	DROP KEY trips_live,
	DROP KEY trips_by_departure,
	ADD KEY trips_live (house_id, deleted_at, name),
	ADD KEY trips_by_departure (house_id, deleted_at, first_date, name),
	ADD CONSTRAINT trips_of_house FOREIGN KEY (house_id) REFERENCES houses (id);
ALTER TABLE trips ALTER COLUMN house_id DROP DEFAULT;

ALTER TABLE clients
	ADD COLUMN house_id VARCHAR(64) NOT NULL DEFAULT 'house-1' AFTER id,
	DROP KEY clients_live,
	ADD KEY clients_live (house_id, deleted_at, name),
	ADD CONSTRAINT clients_of_house FOREIGN KEY (house_id) REFERENCES houses (id);
ALTER TABLE clients ALTER COLUMN house_id DROP DEFAULT;

ALTER TABLE patterns
	ADD COLUMN house_id VARCHAR(64) NOT NULL DEFAULT 'house-1' AFTER id,
	DROP KEY patterns_live,
	ADD KEY patterns_live (house_id, deleted_at, name),
	ADD CONSTRAINT patterns_of_house FOREIGN KEY (house_id) REFERENCES houses (id);
ALTER TABLE patterns ALTER COLUMN house_id DROP DEFAULT;

CREATE TABLE client_facts (
	client_id VARCHAR(64) NOT NULL,
	name VARCHAR(40) NOT NULL,
	value JSON NOT NULL,
	state VARCHAR(16) NOT NULL,
	source VARCHAR(16) NOT NULL,
	noted_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
	noted_by VARCHAR(120) NULL,
	PRIMARY KEY (client_id, name),
	CONSTRAINT facts_of_client FOREIGN KEY (client_id) REFERENCES clients (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

INSERT INTO client_facts (client_id, name, value, state, source, noted_at)
	SELECT id, 'offsetClo', JSON_EXTRACT(offset_clo, '$.value'), JSON_VALUE(offset_clo, '$.state'), JSON_VALUE(offset_clo, '$.source'), updated_at
	FROM clients WHERE JSON_VALUE(offset_clo, '$.state') <> 'not asked';
INSERT INTO client_facts (client_id, name, value, state, source, noted_at)
	SELECT id, 'careful', JSON_EXTRACT(careful, '$.value'), JSON_VALUE(careful, '$.state'), JSON_VALUE(careful, '$.source'), updated_at
	FROM clients WHERE JSON_VALUE(careful, '$.state') <> 'not asked';
INSERT INTO client_facts (client_id, name, value, state, source, noted_at)
	SELECT id, 'answeredParts', answered_parts, 'has', 'client', updated_at
	FROM clients WHERE JSON_LENGTH(answered_parts) > 0;
ALTER TABLE clients DROP COLUMN offset_clo, DROP COLUMN careful, DROP COLUMN answered_parts;

CREATE TABLE provided_things (
	trip_id VARCHAR(64) NOT NULL,
	stage_id VARCHAR(64) NOT NULL,
	id VARCHAR(64) NOT NULL,
	position SMALLINT UNSIGNED NOT NULL,
	type_id VARCHAR(64) NULL,
	name VARCHAR(400) NOT NULL,
	quantity SMALLINT UNSIGNED NOT NULL DEFAULT 1,
	PRIMARY KEY (trip_id, stage_id, id),
	KEY provided_in_order (trip_id, stage_id, position),
	CONSTRAINT provided_on_stage FOREIGN KEY (trip_id, stage_id) REFERENCES stages (trip_id, id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

INSERT INTO provided_things (trip_id, stage_id, id, position, name)
	SELECT trip_id, id, 'provided-1', 0, JSON_VALUE(outline, '$.provided') FROM stages
	WHERE COALESCE(JSON_VALUE(outline, '$.provided'), '') <> '';
UPDATE stages SET outline = JSON_REMOVE(outline, '$.provided') WHERE JSON_EXISTS(outline, '$.provided');

CREATE TABLE plan_wishes (
	trip_id VARCHAR(64) NOT NULL,
	client_id VARCHAR(64) NOT NULL,
	wishes JSON NOT NULL DEFAULT '[]',
	spare_changes TINYINT UNSIGNED NOT NULL DEFAULT 0,
	version INT UNSIGNED NOT NULL DEFAULT 1,
	PRIMARY KEY (trip_id, client_id),
	CONSTRAINT wishes_of_trip FOREIGN KEY (trip_id) REFERENCES trips (id) ON DELETE CASCADE,
	CONSTRAINT wishes_of_client FOREIGN KEY (client_id) REFERENCES clients (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

INSERT INTO plan_wishes (trip_id, client_id, wishes, spare_changes, version)
	SELECT trip_id, client_id, wishes, spare_changes, version FROM trip_plans WHERE version > 0;

CREATE TABLE plan_work (
	trip_id VARCHAR(64) NOT NULL,
	client_id VARCHAR(64) NOT NULL,
	fingerprint CHAR(64) NOT NULL,
	state ENUM('wanted', 'working', 'failed') NOT NULL DEFAULT 'wanted',
	tries TINYINT UNSIGNED NOT NULL DEFAULT 0,
	claim CHAR(36) NULL,
	claimed_at DATETIME(3) NULL,
	done SMALLINT UNSIGNED NOT NULL DEFAULT 0,
	total SMALLINT UNSIGNED NOT NULL DEFAULT 0,
	PRIMARY KEY (trip_id, client_id),
	KEY work_wanted (state, claimed_at),
	CONSTRAINT work_of_trip FOREIGN KEY (trip_id) REFERENCES trips (id) ON DELETE CASCADE,
	CONSTRAINT work_of_client FOREIGN KEY (client_id) REFERENCES clients (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE stored_plans (
	trip_id VARCHAR(64) NOT NULL,
	client_id VARCHAR(64) NOT NULL,
	fingerprint CHAR(64) NOT NULL,
	summary MEDIUMTEXT NOT NULL,
	days MEDIUMBLOB NOT NULL,
	made_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
	PRIMARY KEY (trip_id, client_id),
	KEY plans_by_fingerprint (fingerprint),
	CONSTRAINT plan_of_trip FOREIGN KEY (trip_id) REFERENCES trips (id) ON DELETE CASCADE,
	CONSTRAINT plan_of_client FOREIGN KEY (client_id) REFERENCES clients (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

DROP TABLE trip_plans;
