ALTER TABLE `customer` ADD `terms_parts` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `customer` ADD `language` text DEFAULT 'en' NOT NULL;--> statement-breakpoint
ALTER TABLE `customer` ADD `interest` text DEFAULT 'statutory' NOT NULL;--> statement-breakpoint
ALTER TABLE `customer` ADD `interest_basis_points` integer;