CREATE TABLE `sequence` (
	`name` text PRIMARY KEY NOT NULL,
	`next` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `upgrade` (
	`name` text PRIMARY KEY NOT NULL,
	`left` integer NOT NULL
);
--> statement-breakpoint
ALTER TABLE `journal_line` ADD `source_kind` text;--> statement-breakpoint
ALTER TABLE `journal_line` ADD `source_id` integer;--> statement-breakpoint
ALTER TABLE `journal_line` ADD `item_id` integer;--> statement-breakpoint
ALTER TABLE `journal_line` ADD `receipt_id` integer;--> statement-breakpoint
CREATE INDEX `journal_line_source` ON `journal_line` (`source_kind`,`source_id`);