CREATE TABLE `recovery_code` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`user_id` text NOT NULL,
	`ended_at` integer,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`user_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `recovery_code_user` ON `recovery_code` (`user_id`);--> statement-breakpoint
CREATE TABLE `second_factor` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`user_id` text NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`mark` text NOT NULL,
	`public_key` text,
	`transports` text,
	`counter` integer NOT NULL,
	`ended_at` integer,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`user_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `second_factor_mark_unique` ON `second_factor` (`mark`);--> statement-breakpoint
CREATE INDEX `second_factor_user` ON `second_factor` (`user_id`);--> statement-breakpoint
ALTER TABLE `session` ADD `second_factor_at` integer;