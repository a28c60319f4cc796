-- A trip knows where it is, and for the list of the season when its stages begin and end and how many there are; a stage
-- knows its route, bed, pace and foul-weather variant (outline). What was one temperature and one kind of rain becomes a low and a high, and hours of rain.

ALTER TABLE trips
	ADD COLUMN site JSON NULL AFTER place,
	ADD COLUMN first_date DATE NULL,
	ADD COLUMN last_date DATE NULL,
	ADD COLUMN stages SMALLINT UNSIGNED NOT NULL DEFAULT 0,
	ADD COLUMN empty_stages SMALLINT UNSIGNED NOT NULL DEFAULT 0,
	ADD COLUMN search_text TEXT NOT NULL DEFAULT '',
	ADD KEY trips_by_departure (deleted_at, first_date, name);

UPDATE trips SET
	first_date = (SELECT MIN(stage_date) FROM stages WHERE trip_id = trips.id),
	last_date = (SELECT MAX(stage_date) FROM stages WHERE trip_id = trips.id),
	stages = (SELECT COUNT(*) FROM stages WHERE trip_id = trips.id),
	empty_stages = (SELECT COUNT(*) FROM stages WHERE trip_id = trips.id AND JSON_LENGTH(sequence) = 0),
	search_text = CONCAT_WS(' ', name, place, (
		SELECT GROUP_CONCAT(c.name SEPARATOR ' ') FROM trip_clients tc
		JOIN clients c ON c.id = tc.client_id AND c.deleted_at IS NULL WHERE tc.trip_id = trips.id
	));

-- Whether anything of a kit is known is asked for every client on the list of the season.
ALTER TABLE things ADD KEY things_live (client_id, deleted_at);

ALTER TABLE stages ADD COLUMN outline JSON NULL AFTER base;

UPDATE stages SET
	outline = JSON_OBJECT(
		'route', JSON_OBJECT(
			'startM', CAST(JSON_VALUE(base, '$.altitudeM') AS DECIMAL(8, 2)),
			'highM', CAST(JSON_VALUE(base, '$.altitudeM') AS DECIMAL(8, 2)),
			'lowM', CAST(JSON_VALUE(base, '$.altitudeM') AS DECIMAL(8, 2)),
			'bedM', CAST(JSON_VALUE(base, '$.altitudeM') AS DECIMAL(8, 2))
		),
		'bed', JSON_OBJECT('kind', 'heated', 'washing', FALSE, 'drying', 'small things'),
		'provided', '',
		'terrain', JSON_ARRAY(),
		'pace', 'guided',
		'patternId', NULL,
		'foul', NULL,
		'origins', JSON_OBJECT()
	),
	base = JSON_REMOVE(
		JSON_SET(
			base,
			'$.lowTempC', JSON_EXTRACT(base, '$.airTempC'),
			'$.highTempC', JSON_EXTRACT(base, '$.airTempC'),
			'$.inversion', NULL,
			'$.heights', JSON_ARRAY(),
			'$.wetSpells', JSON_COMPACT(IF(
				JSON_VALUE(base, '$.precipitation') = 'dry',
				'[]',
				CONCAT('[{"fromMin":0,"toMin":1440,"kind":"', JSON_VALUE(base, '$.precipitation'), '"}]')
			))
		),
		'$.airTempC', '$.precipitation'
	)
WHERE JSON_EXISTS(base, '$.airTempC');

ALTER TABLE stages MODIFY COLUMN outline JSON NOT NULL;

UPDATE trips SET weathers = '[{"id":"planned","name":"Typical","meaning":"What each day says: its forecast, or what is usual there.","tempOffsetK":0,"windFactor":1,"wetSpells":[]},{"id":"cold-snap","name":"Cold snap","meaning":"About 1 day in 10 is this cold: 6 K colder, a tenth more wind.","tempOffsetK":-6,"windFactor":1.1,"wetSpells":[]},{"id":"mild-wet","name":"Mild and wet","meaning":"About 1 day in 10 is like this: 4.5 K milder, 1.4 times the wind, six hours of rain or snow by day.","tempOffsetK":4.5,"windFactor":1.4,"wetSpells":[{"fromMin":540,"toMin":900,"kind":"rain"}]}]'
WHERE JSON_LENGTH(weathers) = 1 AND JSON_VALUE(weathers, '$[0].id') = 'planned';

UPDATE trips SET weathers = JSON_INSERT(
	weathers,
	'$[0].meaning', '', '$[0].wetSpells', JSON_ARRAY(),
	'$[1].meaning', '', '$[1].wetSpells', JSON_ARRAY(),
	'$[2].meaning', '', '$[2].wetSpells', JSON_ARRAY(),
	'$[3].meaning', '', '$[3].wetSpells', JSON_ARRAY(),
	'$[4].meaning', '', '$[4].wetSpells', JSON_ARRAY()
);

-- Patterns that a house keeps for itself.
CREATE TABLE patterns (
	id VARCHAR(64) NOT NULL PRIMARY KEY,
	name VARCHAR(120) NOT NULL,
	content JSON NOT NULL,
	deleted_at DATETIME(3) NULL,
	created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
	KEY patterns_live (deleted_at, name)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
