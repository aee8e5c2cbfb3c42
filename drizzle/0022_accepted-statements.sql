CREATE TABLE `statement_acceptance` (
	`statement_id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	FOREIGN KEY (`statement_id`) REFERENCES `bank_statement`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TRIGGER statement_acceptance_no_update BEFORE UPDATE ON statement_acceptance BEGIN SELECT RAISE(ABORT, 'posted records are never changed: statement_acceptance'); END;
--> statement-breakpoint
CREATE TRIGGER statement_acceptance_no_delete BEFORE DELETE ON statement_acceptance BEGIN SELECT RAISE(ABORT, 'posted records are never changed: statement_acceptance'); END;
