ALTER TABLE `tie` RENAME TO `bank_match`;--> statement-breakpoint
DROP INDEX `tie_undoes_id_unique`;--> statement-breakpoint
CREATE UNIQUE INDEX `bank_match_undoes_id_unique` ON `bank_match` (`undoes_id`);--> statement-breakpoint
DROP INDEX `tie_shown`;--> statement-breakpoint
CREATE INDEX `bank_match_shown` ON `bank_match` (`shown_id`);--> statement-breakpoint
DROP INDEX `tie_recorded`;--> statement-breakpoint
CREATE INDEX `bank_match_recorded` ON `bank_match` (`recorded_id`);--> statement-breakpoint
DROP TRIGGER tie_no_update;--> statement-breakpoint
CREATE TRIGGER bank_match_no_update BEFORE UPDATE ON bank_match BEGIN SELECT RAISE(ABORT, 'posted records are never changed: bank_match'); END;--> statement-breakpoint
DROP TRIGGER tie_no_delete;--> statement-breakpoint
CREATE TRIGGER bank_match_no_delete BEFORE DELETE ON bank_match BEGIN SELECT RAISE(ABORT, 'posted records are never changed: bank_match'); END;--> statement-breakpoint
ALTER TABLE `returned_tie` RENAME TO `bank_return_match`;--> statement-breakpoint
DROP INDEX `returned_tie_undoes_id_unique`;--> statement-breakpoint
CREATE UNIQUE INDEX `bank_return_match_undoes_id_unique` ON `bank_return_match` (`undoes_id`);--> statement-breakpoint
DROP INDEX `returned_tie_returned`;--> statement-breakpoint
CREATE INDEX `bank_return_match_returned` ON `bank_return_match` (`returned_id`);--> statement-breakpoint
DROP INDEX `returned_tie_act`;--> statement-breakpoint
CREATE INDEX `bank_return_match_act` ON `bank_return_match` (`act_id`);--> statement-breakpoint
DROP TRIGGER returned_tie_no_update;--> statement-breakpoint
CREATE TRIGGER bank_return_match_no_update BEFORE UPDATE ON bank_return_match BEGIN SELECT RAISE(ABORT, 'posted records are never changed: bank_return_match'); END;--> statement-breakpoint
DROP TRIGGER returned_tie_no_delete;--> statement-breakpoint
CREATE TRIGGER bank_return_match_no_delete BEFORE DELETE ON bank_return_match BEGIN SELECT RAISE(ABORT, 'posted records are never changed: bank_return_match'); END;--> statement-breakpoint
ALTER TABLE `credit_change` RENAME TO `receipt_adjustment`;--> statement-breakpoint
DROP INDEX `credit_change_undoes_id_unique`;--> statement-breakpoint
CREATE UNIQUE INDEX `receipt_adjustment_undoes_id_unique` ON `receipt_adjustment` (`undoes_id`);--> statement-breakpoint
DROP INDEX `credit_change_receipt`;--> statement-breakpoint
CREATE INDEX `receipt_adjustment_receipt` ON `receipt_adjustment` (`receipt_id`);--> statement-breakpoint
DROP INDEX `credit_change_act`;--> statement-breakpoint
CREATE INDEX `receipt_adjustment_act` ON `receipt_adjustment` (`act_id`);--> statement-breakpoint
DROP TRIGGER credit_change_no_update;--> statement-breakpoint
CREATE TRIGGER receipt_adjustment_no_update BEFORE UPDATE ON receipt_adjustment BEGIN SELECT RAISE(ABORT, 'posted records are never changed: receipt_adjustment'); END;--> statement-breakpoint
DROP TRIGGER credit_change_no_delete;--> statement-breakpoint
CREATE TRIGGER receipt_adjustment_no_delete BEFORE DELETE ON receipt_adjustment BEGIN SELECT RAISE(ABORT, 'posted records are never changed: receipt_adjustment'); END;--> statement-breakpoint
ALTER TABLE `refund_in_file` RENAME COLUMN `credit_change_id` TO `receipt_adjustment_id`;--> statement-breakpoint
ALTER TABLE `draft_receipt` RENAME TO `manual_receipt`;--> statement-breakpoint
DROP INDEX `draft_receipt_date`;--> statement-breakpoint
CREATE INDEX `manual_receipt_date` ON `manual_receipt` (`date`);--> statement-breakpoint
DROP INDEX `draft_receipt_customer`;--> statement-breakpoint
CREATE INDEX `manual_receipt_customer` ON `manual_receipt` (`customer_id`);--> statement-breakpoint
ALTER TABLE `account` RENAME TO `credential`;--> statement-breakpoint
UPDATE receipt_state SET state = 'allocated' WHERE state = 'placed';--> statement-breakpoint
UPDATE receipt_state SET state = 'matched' WHERE state = 'tied';--> statement-breakpoint
ALTER TABLE `approval` ADD `receipt_id` integer REFERENCES receipt(id);--> statement-breakpoint
CREATE INDEX `approval_receipt` ON `approval` (`receipt_id`);--> statement-breakpoint
INSERT INTO approval (act_id, kind, input, over, about, customer_id, receipt_id, state)
	SELECT a.id, 'allocate-receipt', s.held_order, coalesce(json_extract(a.facts, '$.waits'), '[]'), 'post what was allocated on it',
		json_extract(s.held_order, '$.customerId'), s.receipt_id, 'waiting'
	FROM receipt_state s JOIN act a ON a.id = s.last_act_id
	WHERE s.state = 'held' AND a.kind = 'ask-supervisor' AND s.held_order IS NOT NULL;--> statement-breakpoint
UPDATE receipt_state SET state = 'in_approval', held_because = NULL
	WHERE receipt_id IN (SELECT receipt_id FROM approval WHERE kind = 'allocate-receipt' AND state = 'waiting');--> statement-breakpoint
CREATE VIEW `standing_allocation` AS select "id", "act_id", "date", "receipt_id", "credit_item_id", "item_id", "amount", "credit_customer_id", "credit_amount", "item_base", "credit_base", "undoes_id" from "allocation" where "allocation"."undoes_id" is null and not exists (select 1 from allocation u where u.undoes_id = "allocation"."id");--> statement-breakpoint
CREATE VIEW `standing_bank_match` AS select "id", "act_id", "shown_id", "recorded_id", "undoes_id" from "bank_match" where "bank_match"."undoes_id" is null and not exists (select 1 from bank_match u where u.undoes_id = "bank_match"."id");--> statement-breakpoint
CREATE VIEW `standing_bank_return_match` AS select "id", "act_id", "shown_id", "returned_id", "part", "amount", "base", "undoes_id" from "bank_return_match" where "bank_return_match"."undoes_id" is null and not exists (select 1 from bank_return_match u where u.undoes_id = "bank_return_match"."id");--> statement-breakpoint
CREATE VIEW `standing_difference` AS select "id", "act_id", "date", "receipt_id", "item_id", "kind", "amount", "base", "undoes_id" from "difference" where "difference"."undoes_id" is null and not exists (select 1 from difference u where u.undoes_id = "difference"."id");--> statement-breakpoint
CREATE VIEW `standing_receipt_adjustment` AS select "id", "act_id", "date", "receipt_id", "customer_id", "kind", "amount", "base", "undoes_id" from "receipt_adjustment" where "receipt_adjustment"."undoes_id" is null and not exists (select 1 from receipt_adjustment u where u.undoes_id = "receipt_adjustment"."id");--> statement-breakpoint
CREATE VIEW `standing_returned_payment` AS select "id", "act_id", "date", "receipt_id", "customer_id", "currency", "amount", "base", "fee", "fee_base", "reason", "note", "charge_id", "opened" from "returned_payment" where not exists (select 1 from act u where u.undoes_id = "returned_payment"."act_id");
