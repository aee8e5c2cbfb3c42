CREATE TABLE `act` (
	`id` integer PRIMARY KEY NOT NULL,
	`kind` text NOT NULL,
	`date` text NOT NULL,
	`at` text NOT NULL,
	`user_id` text NOT NULL,
	`user_name` text NOT NULL,
	`summary` text NOT NULL,
	`facts` text NOT NULL,
	`customer_id` integer,
	`receipt_id` integer,
	`document_id` integer,
	`undoes_id` integer,
	`key` text,
	`previous_hash` text NOT NULL,
	`hash` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `act_key` ON `act` (`key`);--> statement-breakpoint
CREATE UNIQUE INDEX `act_undoes` ON `act` (`undoes_id`);--> statement-breakpoint
CREATE INDEX `act_customer` ON `act` (`customer_id`);--> statement-breakpoint
CREATE INDEX `act_receipt` ON `act` (`receipt_id`);--> statement-breakpoint
CREATE INDEX `act_document` ON `act` (`document_id`);--> statement-breakpoint
CREATE INDEX `act_date` ON `act` (`date`);--> statement-breakpoint
CREATE TABLE `journal_line` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`date` text NOT NULL,
	`account` text NOT NULL,
	`customer_id` integer,
	`currency` text NOT NULL,
	`amount` integer NOT NULL,
	`base` integer NOT NULL,
	`bank_entry_id` integer,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `journal_line_act` ON `journal_line` (`act_id`);--> statement-breakpoint
CREATE INDEX `journal_line_account_date` ON `journal_line` (`account`,`date`);--> statement-breakpoint
CREATE INDEX `journal_line_customer` ON `journal_line` (`customer_id`,`date`);--> statement-breakpoint
CREATE INDEX `journal_line_entry` ON `journal_line` (`bank_entry_id`);--> statement-breakpoint
CREATE TABLE `bank_account` (
	`id` integer PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`number` text NOT NULL,
	`bic` text,
	`bank_name` text NOT NULL,
	`currency` text NOT NULL,
	`ledger` text NOT NULL,
	`kind` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `bank_account_number_unique` ON `bank_account` (`number`);--> statement-breakpoint
CREATE UNIQUE INDEX `bank_account_ledger_unique` ON `bank_account` (`ledger`);--> statement-breakpoint
CREATE TABLE `bank_entry` (
	`id` integer PRIMARY KEY NOT NULL,
	`bank_account_id` integer NOT NULL,
	`fingerprint` text NOT NULL,
	`booked` text NOT NULL,
	`valued` text,
	`amount` integer NOT NULL,
	`currency` text NOT NULL,
	`reversal` integer NOT NULL,
	`entry_reference` text,
	`bank_reference` text,
	`code` text,
	`text` text NOT NULL,
	`charges` integer NOT NULL,
	`details` text NOT NULL,
	FOREIGN KEY (`bank_account_id`) REFERENCES `bank_account`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `bank_entry_fingerprint` ON `bank_entry` (`bank_account_id`,`fingerprint`);--> statement-breakpoint
CREATE INDEX `bank_entry_booked` ON `bank_entry` (`bank_account_id`,`booked`);--> statement-breakpoint
CREATE TABLE `bank_file` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`name` text NOT NULL,
	`sha256` text NOT NULL,
	`bytes` integer NOT NULL,
	`entries_new` integer NOT NULL,
	`entries_known` integer NOT NULL,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `bank_file_sha256_unique` ON `bank_file` (`sha256`);--> statement-breakpoint
CREATE TABLE `bank_file_part` (
	`file_id` integer NOT NULL,
	`part` integer NOT NULL,
	`gzip` blob NOT NULL,
	PRIMARY KEY(`file_id`, `part`),
	FOREIGN KEY (`file_id`) REFERENCES `bank_file`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `bank_statement` (
	`id` integer PRIMARY KEY NOT NULL,
	`file_id` integer NOT NULL,
	`bank_account_id` integer NOT NULL,
	`reference` text NOT NULL,
	`sequence` text,
	`opening` integer,
	`opening_on` text,
	`closing` integer,
	`closing_on` text,
	`balance_checked` integer NOT NULL,
	`not_booked` integer NOT NULL,
	FOREIGN KEY (`file_id`) REFERENCES `bank_file`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`bank_account_id`) REFERENCES `bank_account`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `bank_statement_account` ON `bank_statement` (`bank_account_id`,`closing_on`);--> statement-breakpoint
CREATE INDEX `bank_statement_file` ON `bank_statement` (`file_id`);--> statement-breakpoint
CREATE TABLE `statement_entry` (
	`statement_id` integer NOT NULL,
	`place` integer NOT NULL,
	`entry_id` integer NOT NULL,
	PRIMARY KEY(`statement_id`, `place`),
	FOREIGN KEY (`statement_id`) REFERENCES `bank_statement`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`entry_id`) REFERENCES `bank_entry`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `statement_entry_entry` ON `statement_entry` (`entry_id`);--> statement-breakpoint
CREATE TABLE `document` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`kind` text NOT NULL,
	`number` text NOT NULL,
	`number_key` text NOT NULL,
	`customer_id` integer NOT NULL,
	`issued` text NOT NULL,
	`currency` text NOT NULL,
	`total` integer NOT NULL,
	`total_base` integer NOT NULL,
	`purchase_order` text,
	`purchase_order_key` text,
	`order_reference` text,
	`payment_reference` text,
	`payment_reference_key` text,
	`text` text NOT NULL,
	`discount_basis_points` integer,
	`discount_until` text,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `document_kind_number` ON `document` (`kind`,`number`);--> statement-breakpoint
CREATE INDEX `document_customer` ON `document` (`customer_id`);--> statement-breakpoint
CREATE INDEX `document_number_key` ON `document` (`number_key`);--> statement-breakpoint
CREATE INDEX `document_purchase_order_key` ON `document` (`purchase_order_key`);--> statement-breakpoint
CREATE INDEX `document_payment_reference_key` ON `document` (`payment_reference_key`);--> statement-breakpoint
CREATE TABLE `document_line` (
	`id` integer PRIMARY KEY NOT NULL,
	`document_id` integer NOT NULL,
	`text` text NOT NULL,
	`net` integer NOT NULL,
	`tax_basis_points` integer NOT NULL,
	`tax` integer NOT NULL,
	FOREIGN KEY (`document_id`) REFERENCES `document`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `document_line_document` ON `document_line` (`document_id`);--> statement-breakpoint
CREATE TABLE `item` (
	`id` integer PRIMARY KEY NOT NULL,
	`document_id` integer NOT NULL,
	`customer_id` integer NOT NULL,
	`part` integer NOT NULL,
	`parts` integer NOT NULL,
	`due` text NOT NULL,
	`total` integer NOT NULL,
	`total_base` integer NOT NULL,
	FOREIGN KEY (`document_id`) REFERENCES `document`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `item_document` ON `item` (`document_id`);--> statement-breakpoint
CREATE INDEX `item_customer` ON `item` (`customer_id`);--> statement-breakpoint
CREATE TABLE `item_state` (
	`item_id` integer PRIMARY KEY NOT NULL,
	`customer_id` integer NOT NULL,
	`due` text NOT NULL,
	`open` integer NOT NULL,
	`open_base` integer NOT NULL,
	`version` integer NOT NULL,
	`last_act_id` integer NOT NULL,
	FOREIGN KEY (`item_id`) REFERENCES `item`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `item_state_customer_open` ON `item_state` (`customer_id`,`open`);--> statement-breakpoint
CREATE INDEX `item_state_open_due` ON `item_state` (`open`,`due`);--> statement-breakpoint
CREATE TABLE `customer` (
	`id` integer PRIMARY KEY NOT NULL,
	`code` text NOT NULL,
	`name` text NOT NULL,
	`currency` text NOT NULL,
	`address` text NOT NULL,
	`terms_days` integer NOT NULL,
	`discount_basis_points` integer,
	`discount_days` integer,
	`credit_limit` integer,
	`parent_id` integer,
	`statement_email` text,
	`reminder_email` text,
	`phone` text,
	`notes` text DEFAULT '' NOT NULL,
	`chasing_paused` text
);
--> statement-breakpoint
CREATE UNIQUE INDEX `customer_code_unique` ON `customer` (`code`);--> statement-breakpoint
CREATE INDEX `customer_by_name` ON `customer` (`name`);--> statement-breakpoint
CREATE INDEX `customer_parent` ON `customer` (`parent_id`);--> statement-breakpoint
CREATE TABLE `customer_name` (
	`id` integer PRIMARY KEY NOT NULL,
	`customer_id` integer NOT NULL,
	`name` text NOT NULL,
	`key` text NOT NULL,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `customer_name_key` ON `customer_name` (`key`);--> statement-breakpoint
CREATE INDEX `customer_name_customer` ON `customer_name` (`customer_id`);--> statement-breakpoint
CREATE TABLE `ledger_account` (
	`code` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`for_setting_aside` integer DEFAULT false NOT NULL
);
--> statement-breakpoint
CREATE TABLE `payer_account` (
	`id` integer PRIMARY KEY NOT NULL,
	`customer_id` integer NOT NULL,
	`account` text NOT NULL,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `payer_account_account_customer` ON `payer_account` (`account`,`customer_id`);--> statement-breakpoint
CREATE INDEX `payer_account_customer` ON `payer_account` (`customer_id`);--> statement-breakpoint
CREATE TABLE `rate` (
	`id` integer PRIMARY KEY NOT NULL,
	`currency` text NOT NULL,
	`day` text NOT NULL,
	`millionths` integer NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `rate_currency_day` ON `rate` (`currency`,`day`);--> statement-breakpoint
CREATE TABLE `setting` (
	`key` text PRIMARY KEY NOT NULL,
	`value` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `delivery` (
	`letter_id` integer PRIMARY KEY NOT NULL,
	`state` text NOT NULL,
	`at` text NOT NULL,
	`answer` text,
	`message_id` text NOT NULL,
	`tries` integer NOT NULL,
	FOREIGN KEY (`letter_id`) REFERENCES `letter`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `delivery_state` ON `delivery` (`state`);--> statement-breakpoint
CREATE TABLE `letter` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`kind` text NOT NULL,
	`date` text NOT NULL,
	`customer_id` integer NOT NULL,
	`currency` text NOT NULL,
	`amount` integer NOT NULL,
	`recipient` text NOT NULL,
	`subject` text NOT NULL,
	`body` text NOT NULL,
	`data` text NOT NULL,
	`pdf` blob NOT NULL,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `letter_customer` ON `letter` (`customer_id`);--> statement-breakpoint
CREATE INDEX `letter_act` ON `letter` (`act_id`);--> statement-breakpoint
CREATE TABLE `message` (
	`letter_id` integer PRIMARY KEY NOT NULL,
	`eml` blob NOT NULL,
	FOREIGN KEY (`letter_id`) REFERENCES `letter`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `account` (
	`id` text PRIMARY KEY NOT NULL,
	`account_id` text NOT NULL,
	`provider_id` text NOT NULL,
	`user_id` text NOT NULL,
	`access_token` text,
	`refresh_token` text,
	`id_token` text,
	`access_token_expires_at` integer,
	`refresh_token_expires_at` integer,
	`scope` text,
	`password` text,
	`created_at` integer NOT NULL,
	`updated_at` integer NOT NULL,
	FOREIGN KEY (`user_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `rate_limit` (
	`id` text PRIMARY KEY NOT NULL,
	`key` text NOT NULL,
	`count` integer NOT NULL,
	`last_request` integer NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `rate_limit_key_unique` ON `rate_limit` (`key`);--> statement-breakpoint
CREATE TABLE `session` (
	`id` text PRIMARY KEY NOT NULL,
	`expires_at` integer NOT NULL,
	`token` text NOT NULL,
	`created_at` integer NOT NULL,
	`updated_at` integer NOT NULL,
	`ip_address` text,
	`user_agent` text,
	`user_id` text NOT NULL,
	FOREIGN KEY (`user_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `session_token_unique` ON `session` (`token`);--> statement-breakpoint
CREATE TABLE `user` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`email` text NOT NULL,
	`email_verified` integer DEFAULT false NOT NULL,
	`image` text,
	`role` text DEFAULT 'reader' NOT NULL,
	`active` integer DEFAULT true NOT NULL,
	`created_at` integer NOT NULL,
	`updated_at` integer NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `user_email_unique` ON `user` (`email`);--> statement-breakpoint
CREATE TABLE `verification` (
	`id` text PRIMARY KEY NOT NULL,
	`identifier` text NOT NULL,
	`value` text NOT NULL,
	`expires_at` integer NOT NULL,
	`created_at` integer NOT NULL,
	`updated_at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `allocation` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`date` text NOT NULL,
	`receipt_id` integer,
	`credit_item_id` integer,
	`item_id` integer NOT NULL,
	`amount` integer NOT NULL,
	`item_base` integer NOT NULL,
	`credit_base` integer NOT NULL,
	`undoes_id` integer,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`receipt_id`) REFERENCES `receipt`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`credit_item_id`) REFERENCES `item`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`item_id`) REFERENCES `item`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `allocation_undoes_id_unique` ON `allocation` (`undoes_id`);--> statement-breakpoint
CREATE INDEX `allocation_item` ON `allocation` (`item_id`);--> statement-breakpoint
CREATE INDEX `allocation_receipt` ON `allocation` (`receipt_id`);--> statement-breakpoint
CREATE INDEX `allocation_credit_item` ON `allocation` (`credit_item_id`);--> statement-breakpoint
CREATE INDEX `allocation_act` ON `allocation` (`act_id`);--> statement-breakpoint
CREATE TABLE `difference` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`date` text NOT NULL,
	`receipt_id` integer NOT NULL,
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
CREATE UNIQUE INDEX `difference_undoes_id_unique` ON `difference` (`undoes_id`);--> statement-breakpoint
CREATE INDEX `difference_item` ON `difference` (`item_id`);--> statement-breakpoint
CREATE INDEX `difference_act` ON `difference` (`act_id`);--> statement-breakpoint
CREATE INDEX `difference_kind` ON `difference` (`kind`,`date`);--> statement-breakpoint
CREATE TABLE `receipt` (
	`id` integer PRIMARY KEY NOT NULL,
	`bank_entry_id` integer NOT NULL,
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
	FOREIGN KEY (`bank_entry_id`) REFERENCES `bank_entry`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `receipt_entry` ON `receipt` (`bank_entry_id`);--> statement-breakpoint
CREATE TABLE `receipt_state` (
	`receipt_id` integer PRIMARY KEY NOT NULL,
	`state` text NOT NULL,
	`booked` text NOT NULL,
	`customer_id` integer,
	`on_account` integer NOT NULL,
	`on_account_base` integer NOT NULL,
	`held_because` text,
	`version` integer NOT NULL,
	`act_id` integer,
	`last_act_id` integer NOT NULL,
	FOREIGN KEY (`receipt_id`) REFERENCES `receipt`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `receipt_state_state` ON `receipt_state` (`state`,`booked`);--> statement-breakpoint
CREATE INDEX `receipt_state_customer` ON `receipt_state` (`customer_id`,`on_account`);