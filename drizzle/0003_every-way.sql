DROP TRIGGER receipt_state_bounds;--> statement-breakpoint
CREATE TABLE `claim` (
	`document_id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`from_item_id` integer NOT NULL,
	`reason` text NOT NULL,
	`owner` text NOT NULL,
	`deadline` text NOT NULL,
	`note` text NOT NULL,
	`state` text NOT NULL,
	FOREIGN KEY (`document_id`) REFERENCES `document`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`from_item_id`) REFERENCES `item`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `claim_from` ON `claim` (`from_item_id`);--> statement-breakpoint
CREATE INDEX `claim_state` ON `claim` (`state`,`deadline`);--> statement-breakpoint
CREATE TABLE `credit_change` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`date` text NOT NULL,
	`receipt_id` integer NOT NULL,
	`customer_id` integer NOT NULL,
	`kind` text NOT NULL,
	`amount` integer NOT NULL,
	`base` integer NOT NULL,
	`undoes_id` integer,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`receipt_id`) REFERENCES `receipt`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `credit_change_undoes_id_unique` ON `credit_change` (`undoes_id`);--> statement-breakpoint
CREATE INDEX `credit_change_receipt` ON `credit_change` (`receipt_id`);--> statement-breakpoint
CREATE INDEX `credit_change_act` ON `credit_change` (`act_id`);--> statement-breakpoint
CREATE TABLE `__new_difference` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`date` text NOT NULL,
	`receipt_id` integer,
	`item_id` integer NOT NULL,
	`kind` text NOT NULL,
	`amount` integer NOT NULL,
	`base` integer NOT NULL,
	`undoes_id` integer,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`receipt_id`) REFERENCES `receipt`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`item_id`) REFERENCES `item`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_difference`("id", "act_id", "date", "receipt_id", "item_id", "kind", "amount", "base", "undoes_id") SELECT "id", "act_id", "date", "receipt_id", "item_id", "kind", "amount", "base", "undoes_id" FROM `difference`;--> statement-breakpoint
DROP TABLE `difference`;--> statement-breakpoint
ALTER TABLE `__new_difference` RENAME TO `difference`;--> statement-breakpoint
CREATE UNIQUE INDEX `difference_undoes_id_unique` ON `difference` (`undoes_id`);--> statement-breakpoint
CREATE INDEX `difference_item` ON `difference` (`item_id`);--> statement-breakpoint
CREATE INDEX `difference_act` ON `difference` (`act_id`);--> statement-breakpoint
CREATE INDEX `difference_kind` ON `difference` (`kind`,`date`);--> statement-breakpoint
CREATE TABLE `__new_receipt` (
	`id` integer PRIMARY KEY NOT NULL,
	`bank_entry_id` integer,
	`parent_id` integer,
	`method` text DEFAULT 'bank' NOT NULL,
	`known_customer_id` integer,
	`fee` integer DEFAULT 0 NOT NULL,
	`detail` integer,
	`booked` text NOT NULL,
	`amount` integer NOT NULL,
	`currency` text NOT NULL,
	`payer_name` text,
	`payer_account` text,
	`text` text NOT NULL,
	`structured_reference` text,
	`end_to_end_id` text,
	`charges` integer NOT NULL,
	`return_reason` text,
	FOREIGN KEY (`bank_entry_id`) REFERENCES `bank_entry`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`known_customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_receipt` (`id`, `bank_entry_id`, `detail`, `booked`, `amount`, `currency`, `payer_name`, `payer_account`, `text`, `structured_reference`, `end_to_end_id`, `charges`, `return_reason`) SELECT `id`, `bank_entry_id`, `detail`, `booked`, `amount`, `currency`, `payer_name`, `payer_account`, `text`, `structured_reference`, `end_to_end_id`, `charges`, `return_reason` FROM `receipt`;--> statement-breakpoint
DROP TABLE `receipt`;--> statement-breakpoint
ALTER TABLE `__new_receipt` RENAME TO `receipt`;--> statement-breakpoint
CREATE INDEX `receipt_entry` ON `receipt` (`bank_entry_id`);--> statement-breakpoint
CREATE INDEX `receipt_parent` ON `receipt` (`parent_id`);--> statement-breakpoint
DROP TRIGGER allocation_no_update;--> statement-breakpoint
ALTER TABLE `allocation` ADD `credit_customer_id` integer NOT NULL DEFAULT 0;--> statement-breakpoint
ALTER TABLE `allocation` ADD `credit_amount` integer NOT NULL DEFAULT 0;--> statement-breakpoint
UPDATE `allocation` SET `credit_amount` = `amount`, `credit_customer_id` = (SELECT `customer_id` FROM `item` WHERE `item`.`id` = `allocation`.`item_id`);--> statement-breakpoint
ALTER TABLE `receipt_state` ADD `deposit_for` text;--> statement-breakpoint
ALTER TABLE `receipt_state` ADD `held_order` text;--> statement-breakpoint
CREATE TRIGGER allocation_no_update BEFORE UPDATE ON allocation BEGIN SELECT RAISE(ABORT, 'posted records are never changed: allocation'); END;
--> statement-breakpoint
CREATE TRIGGER difference_no_update BEFORE UPDATE ON difference BEGIN SELECT RAISE(ABORT, 'posted records are never changed: difference'); END;
--> statement-breakpoint
CREATE TRIGGER difference_no_delete BEFORE DELETE ON difference BEGIN SELECT RAISE(ABORT, 'posted records are never changed: difference'); END;
--> statement-breakpoint
CREATE TRIGGER receipt_no_update BEFORE UPDATE ON receipt BEGIN SELECT RAISE(ABORT, 'posted records are never changed: receipt'); END;
--> statement-breakpoint
CREATE TRIGGER receipt_no_delete BEFORE DELETE ON receipt BEGIN SELECT RAISE(ABORT, 'posted records are never changed: receipt'); END;
--> statement-breakpoint
CREATE TRIGGER credit_change_no_update BEFORE UPDATE ON credit_change BEGIN SELECT RAISE(ABORT, 'posted records are never changed: credit_change'); END;
--> statement-breakpoint
CREATE TRIGGER credit_change_no_delete BEFORE DELETE ON credit_change BEGIN SELECT RAISE(ABORT, 'posted records are never changed: credit_change'); END;
--> statement-breakpoint
CREATE TRIGGER claim_no_delete BEFORE DELETE ON claim BEGIN SELECT RAISE(ABORT, 'posted records are never changed: claim'); END;
--> statement-breakpoint
CREATE TRIGGER receipt_state_bounds BEFORE UPDATE ON receipt_state WHEN NEW.on_account < 0 OR NEW.on_account > ABS((SELECT amount FROM receipt WHERE id = NEW.receipt_id)) + (SELECT coalesce(sum(amount), 0) FROM credit_change WHERE receipt_id = NEW.receipt_id AND kind IN ('processor_fee', 'bank_charge')) BEGIN SELECT RAISE(ABORT, 'a credit is never used beyond its amount'); END;
--> statement-breakpoint
INSERT OR IGNORE INTO ledger_account (code, name, for_setting_aside)
	SELECT c.column1, c.column2, c.column3 FROM (VALUES ('1230', 'Money on its way', 0), ('1240', 'Petty cash', 0), ('1295', 'Currency exchange', 0), ('2160', 'Refunds to be paid out', 1), ('7210', 'Allowances on claims', 0), ('7300', 'Bad debts', 0)) c
	WHERE EXISTS (SELECT 1 FROM ledger_account);
