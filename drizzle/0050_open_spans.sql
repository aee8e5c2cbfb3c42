CREATE TABLE `open_span` (
	`id` integer PRIMARY KEY NOT NULL,
	`item_id` integer,
	`receipt_id` integer,
	`customer_id` integer NOT NULL,
	`currency` text NOT NULL,
	`kind` text NOT NULL,
	`issued` text NOT NULL,
	`due` text NOT NULL,
	`from_day` text NOT NULL,
	`to_day` text NOT NULL,
	`open` integer NOT NULL,
	`base` integer NOT NULL,
	FOREIGN KEY (`item_id`) REFERENCES `item`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`receipt_id`) REFERENCES `receipt`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `open_span_item` ON `open_span` (`item_id`);--> statement-breakpoint
CREATE INDEX `open_span_receipt` ON `open_span` (`receipt_id`);--> statement-breakpoint
CREATE INDEX `open_span_customer` ON `open_span` (`customer_id`,`to_day`);--> statement-breakpoint
CREATE INDEX `open_span_days` ON `open_span` (`to_day`,`from_day`,`customer_id`,`currency`,`kind`,`due`,`issued`,`open`,`base`);