CREATE TABLE `forgotten_history` (
	`act_id` integer PRIMARY KEY NOT NULL,
	`history_act_id` integer NOT NULL,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`history_act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `forgotten_history_history_act_id_unique` ON `forgotten_history` (`history_act_id`);--> statement-breakpoint
CREATE TABLE `past_number` (
	`id` integer PRIMARY KEY NOT NULL,
	`past_payment_id` integer NOT NULL,
	`number_key` text NOT NULL,
	`number` text NOT NULL,
	FOREIGN KEY (`past_payment_id`) REFERENCES `past_payment`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `past_number_key` ON `past_number` (`number_key`);--> statement-breakpoint
CREATE INDEX `past_number_payment` ON `past_number` (`past_payment_id`);--> statement-breakpoint
CREATE TABLE `past_payment` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`customer_id` integer NOT NULL,
	`paid_on` text NOT NULL,
	`amount` integer NOT NULL,
	`currency` text NOT NULL,
	`payer_name` text,
	`name` text,
	`account` text,
	`difference_kind` text,
	`difference_amount` integer,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `past_payment_customer` ON `past_payment` (`customer_id`,`amount`);--> statement-breakpoint
CREATE INDEX `past_payment_name` ON `past_payment` (`name`);--> statement-breakpoint
CREATE INDEX `past_payment_account` ON `past_payment` (`account`);--> statement-breakpoint
CREATE INDEX `past_payment_act` ON `past_payment` (`act_id`);--> statement-breakpoint
CREATE TRIGGER past_payment_no_update BEFORE UPDATE ON past_payment BEGIN SELECT RAISE(ABORT, 'posted records are never changed: past_payment'); END;--> statement-breakpoint
CREATE TRIGGER past_payment_no_delete BEFORE DELETE ON past_payment BEGIN SELECT RAISE(ABORT, 'posted records are never changed: past_payment'); END;--> statement-breakpoint
CREATE TRIGGER past_number_no_update BEFORE UPDATE ON past_number BEGIN SELECT RAISE(ABORT, 'posted records are never changed: past_number'); END;--> statement-breakpoint
CREATE TRIGGER past_number_no_delete BEFORE DELETE ON past_number BEGIN SELECT RAISE(ABORT, 'posted records are never changed: past_number'); END;--> statement-breakpoint
CREATE TRIGGER forgotten_history_no_update BEFORE UPDATE ON forgotten_history BEGIN SELECT RAISE(ABORT, 'posted records are never changed: forgotten_history'); END;--> statement-breakpoint
CREATE TRIGGER forgotten_history_no_delete BEFORE DELETE ON forgotten_history BEGIN SELECT RAISE(ABORT, 'posted records are never changed: forgotten_history'); END;
