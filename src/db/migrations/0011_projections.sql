CREATE TABLE `projection` (
	`studio_id` text NOT NULL,
	`student_id` text NOT NULL,
	`name` text NOT NULL,
	`version` text NOT NULL,
	`source` text NOT NULL,
	`value` text NOT NULL,
	PRIMARY KEY(`student_id`, `name`),
	FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`student_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE no action
);
