ALTER TABLE `receipt` ADD `paid_into_id` integer REFERENCES bank_account(id);--> statement-breakpoint
ALTER TABLE `receipt` ADD `is_petty_cash` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `manual_receipt` ADD `paid_into_id` integer REFERENCES bank_account(id);--> statement-breakpoint
ALTER TABLE `manual_receipt` ADD `is_petty_cash` integer DEFAULT false NOT NULL;