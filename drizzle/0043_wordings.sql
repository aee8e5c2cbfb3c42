CREATE TABLE `wording_version` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`key` text NOT NULL,
	`kind` text NOT NULL,
	`language` text NOT NULL,
	`version` integer NOT NULL,
	`name` text NOT NULL,
	`words` text,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `wording_version_key` ON `wording_version` (`key`,`language`,`version`);--> statement-breakpoint
ALTER TABLE `run_letter` ADD `wording` text;--> statement-breakpoint
CREATE TRIGGER wording_version_no_update BEFORE UPDATE ON wording_version BEGIN SELECT RAISE(ABORT, 'posted records are never changed: wording_version'); END;--> statement-breakpoint
CREATE TRIGGER wording_version_no_delete BEFORE DELETE ON wording_version BEGIN SELECT RAISE(ABORT, 'posted records are never changed: wording_version'); END;
