CREATE TABLE `delivery_report` (
	`id` integer PRIMARY KEY NOT NULL,
	`letter_id` integer NOT NULL,
	`about` text NOT NULL,
	`at` text NOT NULL,
	`recipient` text NOT NULL,
	`action` text NOT NULL,
	`status` text NOT NULL,
	`said` text NOT NULL,
	`mail_hash` text NOT NULL,
	FOREIGN KEY (`letter_id`) REFERENCES `letter`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `delivery_report_mail` ON `delivery_report` (`mail_hash`,`letter_id`,`recipient`);--> statement-breakpoint
ALTER TABLE `delivery` ADD `resent_to` text;--> statement-breakpoint
ALTER TABLE `delivery` ADD `resent_at` text;--> statement-breakpoint
ALTER TABLE `delivery` ADD `resent_id` text;--> statement-breakpoint
CREATE INDEX `delivery_message` ON `delivery` (`message_id`);--> statement-breakpoint
CREATE INDEX `delivery_resent` ON `delivery` (`resent_id`) WHERE "resent_id" is not null;--> statement-breakpoint
CREATE TRIGGER delivery_report_no_update BEFORE UPDATE ON delivery_report BEGIN SELECT RAISE(ABORT, 'posted records are never changed: delivery_report'); END;--> statement-breakpoint
CREATE TRIGGER delivery_report_no_delete BEFORE DELETE ON delivery_report BEGIN SELECT RAISE(ABORT, 'posted records are never changed: delivery_report'); END;
