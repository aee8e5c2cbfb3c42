CREATE TABLE `foreign_change` (
	`id` integer PRIMARY KEY NOT NULL,
	`found_at` text NOT NULL,
	`table_name` text NOT NULL,
	`row_key` blob NOT NULL,
	`found` text
);
--> statement-breakpoint
CREATE TABLE `seal` (
	`id` integer PRIMARY KEY NOT NULL,
	`at` text NOT NULL,
	`act_id` integer,
	`previous_hash` text NOT NULL,
	`hash` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `sealed_form` (
	`table_name` text PRIMARY KEY NOT NULL,
	`columns` text NOT NULL,
	`since_seal` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `sealed_rows` (
	`id` integer PRIMARY KEY NOT NULL,
	`seal_id` integer NOT NULL,
	`table_name` text NOT NULL,
	`first_key` blob NOT NULL,
	`last_key` blob NOT NULL,
	`rows` integer NOT NULL,
	`hash` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `sealed_rows_key` ON `sealed_rows` (`table_name`,`first_key`);--> statement-breakpoint
CREATE INDEX `sealed_rows_seal` ON `sealed_rows` (`seal_id`);--> statement-breakpoint
CREATE TABLE `unsealed_change` (
	`id` integer PRIMARY KEY NOT NULL,
	`table_name` text NOT NULL,
	`row_key` blob NOT NULL,
	`before` text,
	`after` text
);

--> statement-breakpoint
CREATE TRIGGER seal_no_update BEFORE UPDATE ON seal BEGIN SELECT RAISE(ABORT, 'posted records are never changed: seal'); END;
--> statement-breakpoint
CREATE TRIGGER seal_no_delete BEFORE DELETE ON seal BEGIN SELECT RAISE(ABORT, 'posted records are never changed: seal'); END;
--> statement-breakpoint
CREATE TRIGGER sealed_rows_no_update BEFORE UPDATE ON sealed_rows BEGIN SELECT RAISE(ABORT, 'posted records are never changed: sealed_rows'); END;
--> statement-breakpoint
CREATE TRIGGER sealed_rows_no_delete BEFORE DELETE ON sealed_rows BEGIN SELECT RAISE(ABORT, 'posted records are never changed: sealed_rows'); END;
--> statement-breakpoint
CREATE TRIGGER foreign_change_no_update BEFORE UPDATE ON foreign_change BEGIN SELECT RAISE(ABORT, 'posted records are never changed: foreign_change'); END;
--> statement-breakpoint
CREATE TRIGGER foreign_change_no_delete BEFORE DELETE ON foreign_change BEGIN SELECT RAISE(ABORT, 'posted records are never changed: foreign_change'); END;
--> statement-breakpoint
CREATE TRIGGER act_output_no_update BEFORE UPDATE ON act_output BEGIN SELECT RAISE(ABORT, 'posted records are never changed: act_output'); END;
--> statement-breakpoint
CREATE TRIGGER act_output_no_delete BEFORE DELETE ON act_output BEGIN SELECT RAISE(ABORT, 'posted records are never changed: act_output'); END;
