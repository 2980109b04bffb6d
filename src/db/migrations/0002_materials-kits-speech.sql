CREATE TABLE `material` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`kind` text NOT NULL,
	`archived_at` integer,
	FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `material_by_studio` ON `material` (`studio_id`);--> statement-breakpoint
CREATE TABLE `material_version` (
	`material_id` text NOT NULL,
	`version` integer NOT NULL,
	`name` text NOT NULL,
	`content` text NOT NULL,
	`trains` text NOT NULL,
	`meter` text,
	`made_at` integer NOT NULL,
	PRIMARY KEY(`material_id`, `version`),
	FOREIGN KEY (`material_id`) REFERENCES `material`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `person` ADD `kit` text;--> statement-breakpoint
ALTER TABLE `studio` ADD `speech` text;