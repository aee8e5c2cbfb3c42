ALTER TABLE `customer` ADD `contacts` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `letter` ADD `copies` text;