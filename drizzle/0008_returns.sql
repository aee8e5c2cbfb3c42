CREATE TABLE `claim_file` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`claim_id` integer NOT NULL,
	`name` text NOT NULL,
	`type` text NOT NULL,
	`bytes` integer NOT NULL,
	`content` blob NOT NULL,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `claim_file_claim` ON `claim_file` (`claim_id`);--> statement-breakpoint
CREATE TABLE `claim_note` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`claim_id` integer NOT NULL,
	`text` text NOT NULL,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `claim_note_claim` ON `claim_note` (`claim_id`);--> statement-breakpoint
CREATE TABLE `returned_notice` (
	`returned_id` integer PRIMARY KEY NOT NULL,
	`letter_id` integer NOT NULL,
	FOREIGN KEY (`returned_id`) REFERENCES `returned_payment`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`letter_id`) REFERENCES `letter`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `returned_payment` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`date` text NOT NULL,
	`receipt_id` integer NOT NULL,
	`customer_id` integer NOT NULL,
	`currency` text NOT NULL,
	`amount` integer NOT NULL,
	`base` integer NOT NULL,
	`fee` integer NOT NULL,
	`fee_base` integer NOT NULL,
	`reason` text NOT NULL,
	`note` text NOT NULL,
	`charge_id` integer,
	`opened` text NOT NULL,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`receipt_id`) REFERENCES `receipt`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `returned_payment_receipt` ON `returned_payment` (`receipt_id`);--> statement-breakpoint
CREATE INDEX `returned_payment_customer` ON `returned_payment` (`customer_id`);--> statement-breakpoint
CREATE INDEX `returned_payment_act` ON `returned_payment` (`act_id`);--> statement-breakpoint
CREATE TABLE `returned_tie` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`shown_id` integer NOT NULL,
	`returned_id` integer NOT NULL,
	`part` text NOT NULL,
	`amount` integer NOT NULL,
	`base` integer NOT NULL,
	`undoes_id` integer,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`shown_id`) REFERENCES `receipt`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`returned_id`) REFERENCES `returned_payment`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `returned_tie_undoes_id_unique` ON `returned_tie` (`undoes_id`);--> statement-breakpoint
CREATE INDEX `returned_tie_returned` ON `returned_tie` (`returned_id`);--> statement-breakpoint
CREATE INDEX `returned_tie_act` ON `returned_tie` (`act_id`);--> statement-breakpoint
CREATE TRIGGER returned_payment_no_update BEFORE UPDATE ON returned_payment BEGIN SELECT RAISE(ABORT, 'posted records are never changed: returned_payment'); END;--> statement-breakpoint
CREATE TRIGGER returned_payment_no_delete BEFORE DELETE ON returned_payment BEGIN SELECT RAISE(ABORT, 'posted records are never changed: returned_payment'); END;--> statement-breakpoint
CREATE TRIGGER returned_tie_no_update BEFORE UPDATE ON returned_tie BEGIN SELECT RAISE(ABORT, 'posted records are never changed: returned_tie'); END;--> statement-breakpoint
CREATE TRIGGER returned_tie_no_delete BEFORE DELETE ON returned_tie BEGIN SELECT RAISE(ABORT, 'posted records are never changed: returned_tie'); END;--> statement-breakpoint
CREATE TRIGGER returned_notice_no_update BEFORE UPDATE ON returned_notice BEGIN SELECT RAISE(ABORT, 'posted records are never changed: returned_notice'); END;--> statement-breakpoint
CREATE TRIGGER returned_notice_no_delete BEFORE DELETE ON returned_notice BEGIN SELECT RAISE(ABORT, 'posted records are never changed: returned_notice'); END;--> statement-breakpoint
CREATE TRIGGER claim_file_no_update BEFORE UPDATE ON claim_file BEGIN SELECT RAISE(ABORT, 'posted records are never changed: claim_file'); END;--> statement-breakpoint
CREATE TRIGGER claim_file_no_delete BEFORE DELETE ON claim_file BEGIN SELECT RAISE(ABORT, 'posted records are never changed: claim_file'); END;--> statement-breakpoint
CREATE TRIGGER claim_note_no_update BEFORE UPDATE ON claim_note BEGIN SELECT RAISE(ABORT, 'posted records are never changed: claim_note'); END;--> statement-breakpoint
CREATE TRIGGER claim_note_no_delete BEFORE DELETE ON claim_note BEGIN SELECT RAISE(ABORT, 'posted records are never changed: claim_note'); END;--> statement-breakpoint
INSERT INTO ledger_account (code, name, for_setting_aside) SELECT '1235', 'Returned payments on their way', 0 WHERE EXISTS (SELECT 1 FROM ledger_account) AND NOT EXISTS (SELECT 1 FROM ledger_account WHERE code = '1235');
