CREATE TABLE `letter_run` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`kind` text NOT NULL,
	`statement` text,
	`note` text NOT NULL,
	`copy_to` text,
	`at` text NOT NULL,
	`user_id` text NOT NULL,
	`user_name` text NOT NULL,
	`user_role` text NOT NULL,
	`is_paused` integer DEFAULT false NOT NULL,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `run_letter` (
	`id` integer PRIMARY KEY NOT NULL,
	`run_id` integer NOT NULL,
	`customer_id` integer NOT NULL,
	`currency` text NOT NULL,
	`way` text NOT NULL,
	`seen_amount` integer NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`overruled` text,
	`state` text NOT NULL,
	`why` text,
	`letter_id` integer,
	`tries` integer DEFAULT 0 NOT NULL,
	FOREIGN KEY (`run_id`) REFERENCES `letter_run`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`letter_id`) REFERENCES `letter`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `run_letter_run` ON `run_letter` (`run_id`,`state`);--> statement-breakpoint
CREATE INDEX `run_letter_letter` ON `run_letter` (`letter_id`);--> statement-breakpoint
CREATE INDEX `run_letter_to_write` ON `run_letter` (`run_id`,`id`) WHERE "state" = 'to-write';--> statement-breakpoint
ALTER TABLE `delivery` ADD `printing` text;--> statement-breakpoint
ALTER TABLE `delivery` ADD `printed_act_id` integer;--> statement-breakpoint
CREATE INDEX `delivery_printing` ON `delivery` (`letter_id`) WHERE "printing" = 'waiting';--> statement-breakpoint
CREATE INDEX `delivery_printed` ON `delivery` (`printed_act_id`);--> statement-breakpoint
ALTER TABLE `letter` ADD `paper_hash` text;--> statement-breakpoint
ALTER TABLE `message` ADD `packed` blob;