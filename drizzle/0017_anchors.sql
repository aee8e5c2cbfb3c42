CREATE TABLE `anchor` (
	`id` integer PRIMARY KEY NOT NULL,
	`seals` integer NOT NULL,
	`head` text NOT NULL,
	`day` text NOT NULL,
	`at` text NOT NULL,
	`reason` text NOT NULL,
	`signed` text NOT NULL,
	`mail` text,
	`answer` text
);
--> statement-breakpoint
CREATE UNIQUE INDEX `anchor_seals_reason` ON `anchor` (`seals`,`reason`);