-- What was deleted is found by when: the bin of the last days shows it, newest first.
ALTER TABLE trips ADD KEY trips_deleted (house_id, deleted_at);
ALTER TABLE clients ADD KEY clients_deleted (house_id, deleted_at);
ALTER TABLE things ADD KEY things_deleted (deleted_at);
ALTER TABLE patterns ADD KEY patterns_deleted (house_id, deleted_at);
