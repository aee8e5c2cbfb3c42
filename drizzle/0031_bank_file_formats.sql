ALTER TABLE `bank_statement` ADD `format` text;--> statement-breakpoint
ALTER TABLE `statement_entry` ADD `fingerprint` text;--> statement-breakpoint
CREATE INDEX `statement_entry_fingerprint` ON `statement_entry` (`fingerprint`);