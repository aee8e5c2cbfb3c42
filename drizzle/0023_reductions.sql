CREATE TABLE `sign_in_code` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`user_id` text NOT NULL,
	`expires_at` integer NOT NULL,
	`ended_at` integer,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`user_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `sign_in_code_user` ON `sign_in_code` (`user_id`);--> statement-breakpoint
CREATE TABLE `reduction` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`kind` text NOT NULL,
	`customer_id` integer,
	`base` integer NOT NULL,
	`person_id` text NOT NULL,
	`role` text NOT NULL,
	`asked_by_id` text,
	`day` text NOT NULL,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `reduction_act` ON `reduction` (`act_id`);--> statement-breakpoint
CREATE INDEX `reduction_person` ON `reduction` (`person_id`,`day`);--> statement-breakpoint
CREATE INDEX `reduction_customer` ON `reduction` (`customer_id`,`day`);--> statement-breakpoint
ALTER TABLE `document` ADD `credit_note_kind` text;--> statement-breakpoint
ALTER TABLE `approval` ADD `shows` text;--> statement-breakpoint
CREATE TRIGGER reduction_no_update BEFORE UPDATE ON reduction BEGIN SELECT RAISE(ABORT, 'posted records are never changed: reduction'); END;
--> statement-breakpoint
CREATE TRIGGER reduction_no_delete BEFORE DELETE ON reduction BEGIN SELECT RAISE(ABORT, 'posted records are never changed: reduction'); END;
