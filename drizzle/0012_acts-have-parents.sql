CREATE TABLE `act_output` (
	`act_id` integer PRIMARY KEY NOT NULL,
	`kind` text NOT NULL,
	`input` text NOT NULL,
	`output` text NOT NULL,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `act` ADD `format` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `act` ADD `parent_id` integer;--> statement-breakpoint
CREATE INDEX `act_parent` ON `act` (`parent_id`);