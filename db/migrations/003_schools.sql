-- How a house, a trip and a client do it where practitioners disagree. What is not said is inherited.

ALTER TABLE trips ADD COLUMN schools JSON NOT NULL DEFAULT '{}';
ALTER TABLE clients ADD COLUMN schools JSON NOT NULL DEFAULT '{}';

CREATE TABLE house (
	id TINYINT UNSIGNED NOT NULL PRIMARY KEY,
	schools JSON NOT NULL,
	version INT UNSIGNED NOT NULL DEFAULT 1,
	CONSTRAINT one_house CHECK (id = 1)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

INSERT INTO house (id, schools) VALUES (1, '{}');
