CREATE TABLE `forgotten_lesson` (
	`act_id` integer PRIMARY KEY NOT NULL,
	`customer_id` integer NOT NULL,
	`lesson` text NOT NULL,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `forgotten_lesson_customer` ON `forgotten_lesson` (`customer_id`);--> statement-breakpoint
CREATE TABLE `placing_lesson` (
	`act_id` integer PRIMARY KEY NOT NULL,
	`receipt_id` integer NOT NULL,
	`customer_id` integer NOT NULL,
	`currency` text NOT NULL,
	`choice` text,
	`whole_up_to` integer NOT NULL,
	`filled` integer NOT NULL,
	`discount_days_late` integer,
	`bank_charge` integer,
	`tax_basis_points` integer,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`receipt_id`) REFERENCES `receipt`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `placing_lesson_customer` ON `placing_lesson` (`customer_id`,`act_id`);--> statement-breakpoint
CREATE TRIGGER placing_lesson_no_update BEFORE UPDATE ON placing_lesson BEGIN SELECT RAISE(ABORT, 'posted records are never changed: placing_lesson'); END;--> statement-breakpoint
CREATE TRIGGER placing_lesson_no_delete BEFORE DELETE ON placing_lesson BEGIN SELECT RAISE(ABORT, 'posted records are never changed: placing_lesson'); END;--> statement-breakpoint
CREATE TRIGGER forgotten_lesson_no_update BEFORE UPDATE ON forgotten_lesson BEGIN SELECT RAISE(ABORT, 'posted records are never changed: forgotten_lesson'); END;--> statement-breakpoint
CREATE TRIGGER forgotten_lesson_no_delete BEFORE DELETE ON forgotten_lesson BEGIN SELECT RAISE(ABORT, 'posted records are never changed: forgotten_lesson'); END;
