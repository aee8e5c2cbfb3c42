CREATE TABLE `account_merge` (
	`act_id` integer PRIMARY KEY NOT NULL,
	`from_id` integer NOT NULL,
	`into_id` integer NOT NULL,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`from_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`into_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `account_merge_from` ON `account_merge` (`from_id`);--> statement-breakpoint
CREATE INDEX `account_merge_into` ON `account_merge` (`into_id`);--> statement-breakpoint
ALTER TABLE `customer` ADD `merged_into_id` integer;--> statement-breakpoint
CREATE INDEX `customer_merged` ON `customer` (`merged_into_id`) WHERE "merged_into_id" is not null;--> statement-breakpoint
CREATE TRIGGER account_merge_no_update BEFORE UPDATE ON account_merge BEGIN SELECT RAISE(ABORT, 'posted records are never changed: account_merge'); END;--> statement-breakpoint
CREATE TRIGGER account_merge_no_delete BEFORE DELETE ON account_merge BEGIN SELECT RAISE(ABORT, 'posted records are never changed: account_merge'); END;--> statement-breakpoint
CREATE TRIGGER item_state_not_merged_insert BEFORE INSERT ON item_state WHEN NEW.customer_id IS NOT NULL AND EXISTS (SELECT 1 FROM customer WHERE id = NEW.customer_id AND merged_into_id IS NOT NULL) BEGIN SELECT RAISE(ABORT, 'nothing belongs to an account that is seen as another: item_state'); END;--> statement-breakpoint
CREATE TRIGGER item_state_not_merged_update BEFORE UPDATE OF customer_id ON item_state WHEN NEW.customer_id IS NOT NULL AND EXISTS (SELECT 1 FROM customer WHERE id = NEW.customer_id AND merged_into_id IS NOT NULL) BEGIN SELECT RAISE(ABORT, 'nothing belongs to an account that is seen as another: item_state'); END;--> statement-breakpoint
CREATE TRIGGER receipt_state_not_merged_insert BEFORE INSERT ON receipt_state WHEN NEW.customer_id IS NOT NULL AND EXISTS (SELECT 1 FROM customer WHERE id = NEW.customer_id AND merged_into_id IS NOT NULL) BEGIN SELECT RAISE(ABORT, 'nothing belongs to an account that is seen as another: receipt_state'); END;--> statement-breakpoint
CREATE TRIGGER receipt_state_not_merged_update BEFORE UPDATE OF customer_id ON receipt_state WHEN NEW.customer_id IS NOT NULL AND EXISTS (SELECT 1 FROM customer WHERE id = NEW.customer_id AND merged_into_id IS NOT NULL) BEGIN SELECT RAISE(ABORT, 'nothing belongs to an account that is seen as another: receipt_state'); END;