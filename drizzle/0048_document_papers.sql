CREATE TABLE `document_paper` (
	`id` integer PRIMARY KEY NOT NULL,
	`act_id` integer NOT NULL,
	`document_id` integer NOT NULL,
	`name` text NOT NULL,
	`bytes` integer NOT NULL,
	`content` blob NOT NULL,
	FOREIGN KEY (`act_id`) REFERENCES `act`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`document_id`) REFERENCES `document`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `document_paper_document` ON `document_paper` (`document_id`);--> statement-breakpoint
CREATE INDEX `document_paper_act` ON `document_paper` (`act_id`);--> statement-breakpoint
CREATE TRIGGER document_paper_no_update BEFORE UPDATE ON document_paper BEGIN SELECT RAISE(ABORT, 'posted records are never changed: document_paper'); END;--> statement-breakpoint
CREATE TRIGGER document_paper_no_delete BEFORE DELETE ON document_paper BEGIN SELECT RAISE(ABORT, 'posted records are never changed: document_paper'); END;
