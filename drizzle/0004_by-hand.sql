CREATE TABLE `draft_receipt` (
	`id` integer PRIMARY KEY NOT NULL,
	`customer_id` integer NOT NULL,
	`date` text NOT NULL,
	`method` text NOT NULL,
	`reference` text NOT NULL,
	`amount` integer NOT NULL,
	`currency` text NOT NULL,
	`pays` text NOT NULL,
	`typed_by` text NOT NULL,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `draft_receipt_date` ON `draft_receipt` (`date`);--> statement-breakpoint
CREATE INDEX `draft_receipt_customer` ON `draft_receipt` (`customer_id`);--> statement-breakpoint
CREATE TABLE `paying_in_slip` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`date` text NOT NULL,
	`bank_account_id` integer NOT NULL,
	`total` integer NOT NULL,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`bank_account_id`) REFERENCES `bank_account`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `slip_receipt` (
	`receipt_id` integer PRIMARY KEY NOT NULL,
	`slip_id` integer NOT NULL,
	FOREIGN KEY (`receipt_id`) REFERENCES `receipt`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`slip_id`) REFERENCES `paying_in_slip`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `tie` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`shown_id` integer NOT NULL,
	`recorded_id` integer NOT NULL,
	`undoes_id` integer,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`shown_id`) REFERENCES `receipt`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`recorded_id`) REFERENCES `receipt`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `tie_undoes_id_unique` ON `tie` (`undoes_id`);--> statement-breakpoint
CREATE INDEX `tie_shown` ON `tie` (`shown_id`);--> statement-breakpoint
CREATE INDEX `tie_recorded` ON `tie` (`recorded_id`);
--> statement-breakpoint
CREATE TRIGGER paying_in_slip_no_update BEFORE UPDATE ON paying_in_slip BEGIN SELECT RAISE(ABORT, 'posted records are never changed: paying_in_slip'); END;
--> statement-breakpoint
CREATE TRIGGER paying_in_slip_no_delete BEFORE DELETE ON paying_in_slip BEGIN SELECT RAISE(ABORT, 'posted records are never changed: paying_in_slip'); END;
--> statement-breakpoint
CREATE TRIGGER slip_receipt_no_update BEFORE UPDATE ON slip_receipt BEGIN SELECT RAISE(ABORT, 'posted records are never changed: slip_receipt'); END;
--> statement-breakpoint
CREATE TRIGGER slip_receipt_no_delete BEFORE DELETE ON slip_receipt BEGIN SELECT RAISE(ABORT, 'posted records are never changed: slip_receipt'); END;
--> statement-breakpoint
CREATE TRIGGER tie_no_update BEFORE UPDATE ON tie BEGIN SELECT RAISE(ABORT, 'posted records are never changed: tie'); END;
--> statement-breakpoint
CREATE TRIGGER tie_no_delete BEFORE DELETE ON tie BEGIN SELECT RAISE(ABORT, 'posted records are never changed: tie'); END;
