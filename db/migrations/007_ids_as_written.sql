-- Ids are compared as they are written: "Day-1" and "day-1" are two. Columns that point at one another can only change while
-- nothing holds them together.
ALTER TABLE trips
	DROP FOREIGN KEY trips_of_house;
ALTER TABLE clients
	DROP FOREIGN KEY clients_of_house;
ALTER TABLE patterns
	DROP FOREIGN KEY patterns_of_house;
ALTER TABLE stages
	DROP FOREIGN KEY stages_of_trip;
ALTER TABLE provided_things
	DROP FOREIGN KEY provided_on_stage;
ALTER TABLE trip_clients
	DROP FOREIGN KEY enrolled_in_trip,
	DROP FOREIGN KEY enrolled_client;
ALTER TABLE things
	DROP FOREIGN KEY kit_of_client;
ALTER TABLE client_facts
	DROP FOREIGN KEY facts_of_client;
ALTER TABLE plan_wishes
	DROP FOREIGN KEY wishes_of_trip,
	DROP FOREIGN KEY wishes_of_client;
ALTER TABLE plan_work
	DROP FOREIGN KEY work_of_trip,
	DROP FOREIGN KEY work_of_client;
ALTER TABLE stored_plans
	DROP FOREIGN KEY plan_of_trip,
	DROP FOREIGN KEY plan_of_client;
ALTER TABLE houses
	MODIFY id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL;
ALTER TABLE trips
	MODIFY id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	MODIFY house_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL;
ALTER TABLE clients
	MODIFY id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	MODIFY house_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL;
ALTER TABLE patterns
	MODIFY id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	MODIFY house_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL;
ALTER TABLE stages
	MODIFY trip_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	MODIFY id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL;
ALTER TABLE provided_things
	MODIFY trip_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	MODIFY stage_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	MODIFY id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL;
ALTER TABLE trip_clients
	MODIFY trip_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	MODIFY client_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL;
ALTER TABLE things
	MODIFY id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	MODIFY client_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL;
ALTER TABLE client_facts
	MODIFY client_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL;
ALTER TABLE plan_wishes
	MODIFY trip_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	MODIFY client_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL;
ALTER TABLE plan_work
	MODIFY trip_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	MODIFY client_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL;
ALTER TABLE stored_plans
	MODIFY trip_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	MODIFY client_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL;
ALTER TABLE trips
	ADD CONSTRAINT trips_of_house FOREIGN KEY (house_id) REFERENCES houses (id);
ALTER TABLE clients
	ADD CONSTRAINT clients_of_house FOREIGN KEY (house_id) REFERENCES houses (id);
ALTER TABLE patterns
	ADD CONSTRAINT patterns_of_house FOREIGN KEY (house_id) REFERENCES houses (id);
ALTER TABLE stages
	ADD CONSTRAINT stages_of_trip FOREIGN KEY (trip_id) REFERENCES trips (id) ON DELETE CASCADE;
ALTER TABLE provided_things
	ADD CONSTRAINT provided_on_stage FOREIGN KEY (trip_id, stage_id) REFERENCES stages (trip_id, id) ON DELETE CASCADE;
ALTER TABLE trip_clients
	ADD CONSTRAINT enrolled_in_trip FOREIGN KEY (trip_id) REFERENCES trips (id) ON DELETE CASCADE,
	ADD CONSTRAINT enrolled_client FOREIGN KEY (client_id) REFERENCES clients (id) ON DELETE CASCADE;
ALTER TABLE things
	ADD CONSTRAINT kit_of_client FOREIGN KEY (client_id) REFERENCES clients (id) ON DELETE CASCADE;
ALTER TABLE client_facts
	ADD CONSTRAINT facts_of_client FOREIGN KEY (client_id) REFERENCES clients (id) ON DELETE CASCADE;
ALTER TABLE plan_wishes
	ADD CONSTRAINT wishes_of_trip FOREIGN KEY (trip_id) REFERENCES trips (id) ON DELETE CASCADE,
	ADD CONSTRAINT wishes_of_client FOREIGN KEY (client_id) REFERENCES clients (id) ON DELETE CASCADE;
ALTER TABLE plan_work
	ADD CONSTRAINT work_of_trip FOREIGN KEY (trip_id) REFERENCES trips (id) ON DELETE CASCADE,
	ADD CONSTRAINT work_of_client FOREIGN KEY (client_id) REFERENCES clients (id) ON DELETE CASCADE;
ALTER TABLE stored_plans
	ADD CONSTRAINT plan_of_trip FOREIGN KEY (trip_id) REFERENCES trips (id) ON DELETE CASCADE,
	ADD CONSTRAINT plan_of_client FOREIGN KEY (client_id) REFERENCES clients (id) ON DELETE CASCADE;
