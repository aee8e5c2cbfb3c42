CREATE TABLE `approval` (
	`act_id` integer PRIMARY KEY NOT NULL,
	`kind` text NOT NULL,
	`input` text NOT NULL,
	`over` text NOT NULL,
	`about` text NOT NULL,
	`customer_id` integer,
	`state` text NOT NULL,
	`ended_act_id` integer,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`ended_act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `approval_state` ON `approval` (`state`);