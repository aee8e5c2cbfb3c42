CREATE TABLE `refund_file` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`date` text NOT NULL,
	`bank_account_id` integer NOT NULL,
	`name` text NOT NULL,
	`xml` text NOT NULL,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`bank_account_id`) REFERENCES `bank_account`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `refund_in_file` (
	`credit_change_id` integer PRIMARY KEY NOT NULL,
	`file_id` integer NOT NULL,
	FOREIGN KEY (`credit_change_id`) REFERENCES `credit_change`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`file_id`) REFERENCES `refund_file`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TRIGGER refund_file_no_update BEFORE UPDATE ON refund_file BEGIN SELECT RAISE(ABORT, 'posted records are never changed: refund_file'); END;
--> statement-breakpoint
CREATE TRIGGER refund_file_no_delete BEFORE DELETE ON refund_file BEGIN SELECT RAISE(ABORT, 'posted records are never changed: refund_file'); END;
--> statement-breakpoint
CREATE TRIGGER refund_in_file_no_update BEFORE UPDATE ON refund_in_file BEGIN SELECT RAISE(ABORT, 'posted records are never changed: refund_in_file'); END;
--> statement-breakpoint
CREATE TRIGGER refund_in_file_no_delete BEFORE DELETE ON refund_in_file BEGIN SELECT RAISE(ABORT, 'posted records are never changed: refund_in_file'); END;
