CREATE TABLE `bank_file_confirmation` (
	`file_id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	FOREIGN KEY (`file_id`) REFERENCES `bank_file`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TRIGGER bank_file_confirmation_no_update BEFORE UPDATE ON bank_file_confirmation BEGIN SELECT RAISE(ABORT, 'posted records are never changed: bank_file_confirmation'); END;
--> statement-breakpoint
CREATE TRIGGER bank_file_confirmation_no_delete BEFORE DELETE ON bank_file_confirmation BEGIN SELECT RAISE(ABORT, 'posted records are never changed: bank_file_confirmation'); END;
