CREATE TABLE `interest_charge` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`document_id` integer NOT NULL,
	`item_id` integer NOT NULL,
	`from_day` text NOT NULL,
	`to_day` text NOT NULL,
	`amount` integer NOT NULL,
	`compensation` integer NOT NULL,
	`spans` text NOT NULL,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`document_id`) REFERENCES `document`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`item_id`) REFERENCES `item`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `interest_charge_item` ON `interest_charge` (`item_id`);--> statement-breakpoint
CREATE INDEX `interest_charge_document` ON `interest_charge` (`document_id`);--> statement-breakpoint
CREATE INDEX `interest_charge_act` ON `interest_charge` (`act_id`);--> statement-breakpoint
CREATE TABLE `interest_correction` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`document_id` integer NOT NULL,
	`charge_id` integer NOT NULL,
	`amount` integer NOT NULL,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`document_id`) REFERENCES `document`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`charge_id`) REFERENCES `interest_charge`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `interest_correction_charge` ON `interest_correction` (`charge_id`);--> statement-breakpoint
CREATE INDEX `interest_correction_document` ON `interest_correction` (`document_id`);--> statement-breakpoint
CREATE INDEX `interest_correction_act` ON `interest_correction` (`act_id`);--> statement-breakpoint
ALTER TABLE `document` ADD `income` text;--> statement-breakpoint
CREATE TRIGGER interest_charge_no_update BEFORE UPDATE ON interest_charge BEGIN SELECT RAISE(ABORT, 'posted records are never changed: interest_charge'); END;--> statement-breakpoint
CREATE TRIGGER interest_charge_no_delete BEFORE DELETE ON interest_charge BEGIN SELECT RAISE(ABORT, 'posted records are never changed: interest_charge'); END;--> statement-breakpoint
CREATE TRIGGER interest_correction_no_update BEFORE UPDATE ON interest_correction BEGIN SELECT RAISE(ABORT, 'posted records are never changed: interest_correction'); END;--> statement-breakpoint
CREATE TRIGGER interest_correction_no_delete BEFORE DELETE ON interest_correction BEGIN SELECT RAISE(ABORT, 'posted records are never changed: interest_correction'); END;
