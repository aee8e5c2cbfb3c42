CREATE TABLE `acknowledged_finding` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`kind` text NOT NULL,
	`ref` integer NOT NULL,
	`state` text NOT NULL,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `acknowledged_finding_ref` ON `acknowledged_finding` (`kind`,`ref`,`state`);--> statement-breakpoint
CREATE TRIGGER acknowledged_finding_no_update BEFORE UPDATE ON acknowledged_finding BEGIN SELECT RAISE(ABORT, 'posted records are never changed: acknowledged_finding'); END;
--> statement-breakpoint
CREATE TRIGGER acknowledged_finding_no_delete BEFORE DELETE ON acknowledged_finding BEGIN SELECT RAISE(ABORT, 'posted records are never changed: acknowledged_finding'); END;
