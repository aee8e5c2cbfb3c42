ALTER TABLE `delivery` ADD `owner` text;--> statement-breakpoint
ALTER TABLE `delivery` ADD `lease_until` text;