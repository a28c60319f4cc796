-- What things cost to buy, where a house knows better than the first guess; by type, at three levels.
ALTER TABLE houses ADD COLUMN prices JSON NOT NULL DEFAULT '{}';
