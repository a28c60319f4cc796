-- Who may come in: accounts of a house with a role, what they signed in with, and what was done by whom. Of every secret only a
-- hash is kept. The house that the demo is in says so.
ALTER TABLE houses ADD COLUMN is_demo BOOLEAN NOT NULL DEFAULT FALSE;
UPDATE houses SET is_demo = TRUE, name = 'Demo house' WHERE id = 'house-1';

CREATE TABLE accounts (
	id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL PRIMARY KEY,
	house_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	-- what one signs in with; none on the account of the demo
	mail VARCHAR(254) NULL,
	name VARCHAR(120) NOT NULL,
	role ENUM('owner', 'planner', 'guide') NOT NULL,
	-- none until the person has chosen one
	password_hash VARCHAR(255) NULL,
	closed_at DATETIME(3) NULL,
	created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
	UNIQUE KEY accounts_by_mail (mail),
	KEY accounts_of_house (house_id, name),
	CONSTRAINT accounts_in_house FOREIGN KEY (house_id) REFERENCES houses (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
INSERT INTO accounts (id, house_id, mail, name, role) VALUES ('demo-planner', 'house-1', NULL, 'Demo planner', 'owner');

CREATE TABLE sessions (
	token_hash CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
	account_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
	expires_at DATETIME(3) NOT NULL,
	KEY sessions_of_account (account_id),
	KEY sessions_over (expires_at),
	CONSTRAINT sessions_of FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- A link by which somebody chooses a password, once: the invitation, or the way back for a lost one.
CREATE TABLE password_links (
	token_hash CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
	account_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	expires_at DATETIME(3) NOT NULL,
	KEY links_of_account (account_id),
	CONSTRAINT password_links_of FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE api_tokens (
	id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL PRIMARY KEY,
	token_hash CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
	house_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	name VARCHAR(120) NOT NULL,
	role ENUM('planner', 'guide') NOT NULL,
	created_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
	UNIQUE KEY tokens_by_hash (token_hash),
	KEY tokens_of_house (house_id, created_at),
	CONSTRAINT tokens_in_house FOREIGN KEY (house_id) REFERENCES houses (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- Tries to sign in, by account and by address, as hashes: too many within a while are refused.
CREATE TABLE sign_in_tries (
	id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
	by_what CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
	at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
	KEY tries_by (by_what, at),
	KEY tries_over (at)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- Every write: who, when, what, and by which way they came in.
CREATE TABLE entries (
	id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
	house_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
	who VARCHAR(120) NOT NULL,
	way ENUM('signed in', 'token', 'client link') NOT NULL,
	method VARCHAR(8) NOT NULL,
	what VARCHAR(300) NOT NULL,
	KEY entries_of_house (house_id, id),
	CONSTRAINT entries_in_house FOREIGN KEY (house_id) REFERENCES houses (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- A copy that was set aside belongs to the house whose place another one took.
ALTER TABLE set_aside ADD COLUMN house_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL DEFAULT 'house-1' AFTER id, ADD KEY aside_of_house (house_id, id);
ALTER TABLE set_aside ALTER COLUMN house_id DROP DEFAULT;
