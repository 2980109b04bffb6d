ALTER TABLE `log_entry` ADD `text` text;--> statement-breakpoint
ALTER TABLE `person` ADD `schedule` text;