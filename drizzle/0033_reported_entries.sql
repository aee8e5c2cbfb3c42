CREATE TABLE `reported_entry` (
	`id` integer PRIMARY KEY NOT NULL,
	`file_id` integer NOT NULL,
	`bank_account_id` integer NOT NULL,
	`format` text NOT NULL,
	`reference` text NOT NULL,
	`fingerprint` text NOT NULL,
	`booked` text NOT NULL,
	`valued` text,
	`amount` integer NOT NULL,
	`currency` text NOT NULL,
	`reversal` integer NOT NULL,
	`entry_reference` text,
	`bank_reference` text,
	`code` text,
	`text` text NOT NULL,
	`charges` integer NOT NULL,
	`details` text NOT NULL,
	`same_as_id` integer,
	FOREIGN KEY (`file_id`) REFERENCES `bank_file`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`bank_account_id`) REFERENCES `bank_account`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `reported_entry_fingerprint` ON `reported_entry` (`bank_account_id`,`format`,`fingerprint`);--> statement-breakpoint
CREATE INDEX `reported_entry_booked` ON `reported_entry` (`bank_account_id`,`booked`);--> statement-breakpoint
CREATE INDEX `reported_entry_file` ON `reported_entry` (`file_id`);--> statement-breakpoint
CREATE INDEX `reported_entry_same` ON `reported_entry` (`same_as_id`);--> statement-breakpoint
CREATE TABLE `reported_entry_met` (
	`reported_id` integer PRIMARY KEY NOT NULL,
	`entry_id` integer,
	`act_id` integer NOT NULL,
	FOREIGN KEY (`reported_id`) REFERENCES `reported_entry`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`entry_id`) REFERENCES `bank_entry`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `reported_entry_met_entry` ON `reported_entry_met` (`entry_id`);--> statement-breakpoint
CREATE TRIGGER reported_entry_no_update BEFORE UPDATE ON reported_entry BEGIN SELECT RAISE(ABORT, 'posted records are never changed: reported_entry'); END;--> statement-breakpoint
CREATE TRIGGER reported_entry_no_delete BEFORE DELETE ON reported_entry BEGIN SELECT RAISE(ABORT, 'posted records are never changed: reported_entry'); END;--> statement-breakpoint
CREATE TRIGGER reported_entry_met_no_update BEFORE UPDATE ON reported_entry_met BEGIN SELECT RAISE(ABORT, 'posted records are never changed: reported_entry_met'); END;--> statement-breakpoint
CREATE TRIGGER reported_entry_met_no_delete BEFORE DELETE ON reported_entry_met BEGIN SELECT RAISE(ABORT, 'posted records are never changed: reported_entry_met'); END;
