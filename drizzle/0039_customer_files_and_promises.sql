CREATE TABLE `customer_file` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`customer_id` integer NOT NULL,
	`name` text NOT NULL,
	`type` text NOT NULL,
	`bytes` integer NOT NULL,
	`content` blob NOT NULL,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `customer_file_customer` ON `customer_file` (`customer_id`);--> statement-breakpoint
CREATE INDEX `customer_file_act` ON `customer_file` (`act_id`);--> statement-breakpoint
CREATE TABLE `promise` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`customer_id` integer NOT NULL,
	`currency` text NOT NULL,
	`amount` integer NOT NULL,
	`made_on` text NOT NULL,
	`promised_for` text NOT NULL,
	`said_by` text NOT NULL,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `promise_customer` ON `promise` (`customer_id`);--> statement-breakpoint
CREATE INDEX `promise_act` ON `promise` (`act_id`);--> statement-breakpoint
CREATE TRIGGER customer_file_no_update BEFORE UPDATE ON customer_file BEGIN SELECT RAISE(ABORT, 'posted records are never changed: customer_file'); END;--> statement-breakpoint
CREATE TRIGGER customer_file_no_delete BEFORE DELETE ON customer_file BEGIN SELECT RAISE(ABORT, 'posted records are never changed: customer_file'); END;--> statement-breakpoint
CREATE TRIGGER promise_no_update BEFORE UPDATE ON promise BEGIN SELECT RAISE(ABORT, 'posted records are never changed: promise'); END;--> statement-breakpoint
CREATE TRIGGER promise_no_delete BEFORE DELETE ON promise BEGIN SELECT RAISE(ABORT, 'posted records are never changed: promise'); END;