DROP TABLE `log_entry`;--> statement-breakpoint
DROP TABLE `note`;