DROP INDEX `item_state_open_due`;--> statement-breakpoint
ALTER TABLE `item_state` ADD `kind` text NOT NULL DEFAULT '';--> statement-breakpoint
ALTER TABLE `item_state` ADD `currency` text NOT NULL DEFAULT '';--> statement-breakpoint
UPDATE `item_state` SET (`kind`, `currency`) = (SELECT d.`kind`, d.`currency` FROM `item` i JOIN `document` d ON d.`id` = i.`document_id` WHERE i.`id` = `item_state`.`item_id`);--> statement-breakpoint
CREATE INDEX `item_state_due` ON `item_state` (`due`,`item_id`,`customer_id`,`kind`,`currency`,`open`,`open_base`) WHERE "open" > 0;--> statement-breakpoint
CREATE INDEX `item_state_sums` ON `item_state` (`customer_id`,`currency`,`kind`,`due`,`open`,`open_base`) WHERE "open" > 0;
