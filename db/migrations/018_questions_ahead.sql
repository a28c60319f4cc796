-- Questions are worked out ahead of the answers: by what is told so far, on a ground that an answer does not change. What was
-- worked out on the way is kept, so that the next answers cost less. All of it can be worked out again.
DELETE FROM client_questions;
ALTER TABLE client_questions
	ADD COLUMN is_worked_out BOOLEAN NOT NULL DEFAULT FALSE AFTER claim,
	ADD COLUMN memory LONGTEXT NULL AFTER questions;
