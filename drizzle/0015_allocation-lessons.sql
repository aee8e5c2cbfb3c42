ALTER TABLE `placing_lesson` RENAME TO `allocation_lesson`;--> statement-breakpoint
DROP INDEX `placing_lesson_customer`;--> statement-breakpoint
CREATE INDEX `allocation_lesson_customer` ON `allocation_lesson` (`customer_id`,`act_id`);--> statement-breakpoint
DROP TRIGGER placing_lesson_no_update;--> statement-breakpoint
CREATE TRIGGER allocation_lesson_no_update BEFORE UPDATE ON allocation_lesson BEGIN SELECT RAISE(ABORT, 'posted records are never changed: allocation_lesson'); END;--> statement-breakpoint
DROP TRIGGER placing_lesson_no_delete;--> statement-breakpoint
CREATE TRIGGER allocation_lesson_no_delete BEFORE DELETE ON allocation_lesson BEGIN SELECT RAISE(ABORT, 'posted records are never changed: allocation_lesson'); END;
