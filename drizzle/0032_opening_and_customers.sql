ALTER TABLE `document` ADD `opening_on` text;--> statement-breakpoint
ALTER TABLE `customer` ADD `paused_until` text;--> statement-breakpoint
ALTER TABLE `customer` ADD `statement_address` text;--> statement-breakpoint
ALTER TABLE `customer` ADD `tax_number` text;--> statement-breakpoint
ALTER TABLE `customer` ADD `tags` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `customer` ADD `closed_on` text;--> statement-breakpoint
ALTER TABLE `customer` ADD `version` integer DEFAULT 1 NOT NULL;