ALTER TABLE `receipt_state` ADD `unidentified_act_id` integer;--> statement-breakpoint
ALTER TABLE `receipt_state` ADD `unidentified_base` integer;