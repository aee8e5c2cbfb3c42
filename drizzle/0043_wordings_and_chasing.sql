CREATE TABLE `wording_version` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`key` text NOT NULL,
	`kind` text NOT NULL,
	`language` text NOT NULL,
	`version` integer NOT NULL,
	`name` text NOT NULL,
	`words` text,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `wording_version_key` ON `wording_version` (`key`,`language`,`version`);--> statement-breakpoint
CREATE TABLE `chasing_step` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`item_id` integer NOT NULL,
	`step` text NOT NULL,
	`name` text NOT NULL,
	`effect` text NOT NULL,
	`day` text NOT NULL,
	`way` text NOT NULL,
	`letter_id` integer,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`item_id`) REFERENCES `item`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`letter_id`) REFERENCES `letter`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `chasing_step_item` ON `chasing_step` (`item_id`);--> statement-breakpoint
CREATE INDEX `chasing_step_act` ON `chasing_step` (`act_id`);--> statement-breakpoint
CREATE INDEX `chasing_step_letter` ON `chasing_step` (`letter_id`);--> statement-breakpoint
CREATE TABLE `phone_call` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`customer_id` integer NOT NULL,
	`currency` text NOT NULL,
	`day` text NOT NULL,
	`number` text NOT NULL,
	`outcome` text NOT NULL,
	`said` text NOT NULL,
	`again_on` text,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `phone_call_customer` ON `phone_call` (`customer_id`);--> statement-breakpoint
CREATE INDEX `phone_call_act` ON `phone_call` (`act_id`);--> statement-breakpoint
CREATE TABLE `promise_item` (
	`id` integer PRIMARY KEY NOT NULL,
	`promise_id` integer NOT NULL,
	`item_id` integer NOT NULL,
	FOREIGN KEY (`promise_id`) REFERENCES `promise`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`item_id`) REFERENCES `item`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `promise_item_promise` ON `promise_item` (`promise_id`);--> statement-breakpoint
CREATE INDEX `promise_item_item` ON `promise_item` (`item_id`);--> statement-breakpoint
CREATE TABLE `task` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`customer_id` integer NOT NULL,
	`day` text NOT NULL,
	`what` text NOT NULL,
	`done_act_id` integer,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`done_act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `task_customer` ON `task` (`customer_id`);--> statement-breakpoint
CREATE INDEX `task_day` ON `task` (`day`);--> statement-breakpoint
CREATE INDEX `task_act` ON `task` (`act_id`);--> statement-breakpoint
ALTER TABLE `customer` ADD `chasing_policy` text;--> statement-breakpoint
ALTER TABLE `run_letter` ADD `details` text;--> statement-breakpoint
CREATE TRIGGER wording_version_no_update BEFORE UPDATE ON wording_version BEGIN SELECT RAISE(ABORT, 'posted records are never changed: wording_version'); END;--> statement-breakpoint
CREATE TRIGGER wording_version_no_delete BEFORE DELETE ON wording_version BEGIN SELECT RAISE(ABORT, 'posted records are never changed: wording_version'); END;--> statement-breakpoint
CREATE TRIGGER chasing_step_no_update BEFORE UPDATE ON chasing_step BEGIN SELECT RAISE(ABORT, 'posted records are never changed: chasing_step'); END;--> statement-breakpoint
CREATE TRIGGER chasing_step_no_delete BEFORE DELETE ON chasing_step BEGIN SELECT RAISE(ABORT, 'posted records are never changed: chasing_step'); END;--> statement-breakpoint
CREATE TRIGGER phone_call_no_update BEFORE UPDATE ON phone_call BEGIN SELECT RAISE(ABORT, 'posted records are never changed: phone_call'); END;--> statement-breakpoint
CREATE TRIGGER phone_call_no_delete BEFORE DELETE ON phone_call BEGIN SELECT RAISE(ABORT, 'posted records are never changed: phone_call'); END;--> statement-breakpoint
CREATE TRIGGER promise_item_no_update BEFORE UPDATE ON promise_item BEGIN SELECT RAISE(ABORT, 'posted records are never changed: promise_item'); END;--> statement-breakpoint
CREATE TRIGGER promise_item_no_delete BEFORE DELETE ON promise_item BEGIN SELECT RAISE(ABORT, 'posted records are never changed: promise_item'); END;
