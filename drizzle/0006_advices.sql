CREATE TABLE `advice` (
	`id` integer PRIMARY KEY NOT NULL,
	`customer_id` integer NOT NULL,
	`date` text NOT NULL,
	`currency` text NOT NULL,
	`total` integer NOT NULL,
	`source` text NOT NULL,
	`kept_by` text NOT NULL,
	`receipt_id` integer,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`receipt_id`) REFERENCES `receipt`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `advice_customer` ON `advice` (`customer_id`);--> statement-breakpoint
CREATE INDEX `advice_receipt` ON `advice` (`receipt_id`);