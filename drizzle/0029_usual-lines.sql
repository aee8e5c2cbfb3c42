CREATE TABLE `usual_line` (
	`id` integer PRIMARY KEY NOT NULL,
	`name_key` text NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`text` text NOT NULL,
	`account` text NOT NULL,
	`times` integer NOT NULL,
	`set_by` text,
	`off` integer DEFAULT false NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `usual_line_of` ON `usual_line` (`name_key`,`kind`);--> statement-breakpoint
ALTER TABLE `rate` ADD `source` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `receipt_state` ADD `held_for` text;