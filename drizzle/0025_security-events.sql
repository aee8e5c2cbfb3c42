CREATE TABLE `security_event` (
	`id` integer PRIMARY KEY NOT NULL,
	`at` text NOT NULL,
	`kind` text NOT NULL,
	`person_id` text,
	`origin` text NOT NULL,
	`about` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `security_event_person` ON `security_event` (`person_id`);--> statement-breakpoint
CREATE TRIGGER security_event_no_update BEFORE UPDATE ON security_event BEGIN SELECT RAISE(ABORT, 'posted records are never changed: security_event'); END;
--> statement-breakpoint
CREATE TRIGGER security_event_no_delete BEFORE DELETE ON security_event BEGIN SELECT RAISE(ABORT, 'posted records are never changed: security_event'); END;
