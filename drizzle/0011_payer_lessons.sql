CREATE TABLE `forgotten_payer` (
	`act_id` integer PRIMARY KEY NOT NULL,
	`customer_id` integer NOT NULL,
	`trait` text NOT NULL,
	`key` text NOT NULL,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `forgotten_payer_customer` ON `forgotten_payer` (`customer_id`);--> statement-breakpoint
CREATE TABLE `payer_lesson` (
	`act_id` integer PRIMARY KEY NOT NULL,
	`receipt_id` integer NOT NULL,
	`customer_id` integer NOT NULL,
	`account` text,
	`name` text,
	`words` text,
	`told` integer NOT NULL,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`receipt_id`) REFERENCES `receipt`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `payer_lesson_account` ON `payer_lesson` (`account`);--> statement-breakpoint
CREATE INDEX `payer_lesson_name` ON `payer_lesson` (`name`);--> statement-breakpoint
CREATE INDEX `payer_lesson_words` ON `payer_lesson` (`words`);--> statement-breakpoint
CREATE INDEX `payer_lesson_customer` ON `payer_lesson` (`customer_id`);--> statement-breakpoint
INSERT INTO payer_lesson (act_id, receipt_id, customer_id, account, told)
SELECT s.act_id, s.receipt_id, s.customer_id, r.payer_account, 0 FROM receipt_state s JOIN receipt r ON r.id = s.receipt_id
WHERE s.state = 'placed' AND s.act_id IS NOT NULL AND s.customer_id IS NOT NULL AND r.payer_account IS NOT NULL
GROUP BY s.act_id;--> statement-breakpoint
CREATE TRIGGER payer_lesson_no_update BEFORE UPDATE ON payer_lesson BEGIN SELECT RAISE(ABORT, 'posted records are never changed: payer_lesson'); END;--> statement-breakpoint
CREATE TRIGGER payer_lesson_no_delete BEFORE DELETE ON payer_lesson BEGIN SELECT RAISE(ABORT, 'posted records are never changed: payer_lesson'); END;--> statement-breakpoint
CREATE TRIGGER forgotten_payer_no_update BEFORE UPDATE ON forgotten_payer BEGIN SELECT RAISE(ABORT, 'posted records are never changed: forgotten_payer'); END;--> statement-breakpoint
CREATE TRIGGER forgotten_payer_no_delete BEFORE DELETE ON forgotten_payer BEGIN SELECT RAISE(ABORT, 'posted records are never changed: forgotten_payer'); END;
