CREATE TABLE `assignment` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`program_id` text NOT NULL,
	`student_id` text NOT NULL,
	`given_at` integer NOT NULL,
	`ended_at` integer,
	FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`program_id`) REFERENCES `program`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`student_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `assignment_by_student` ON `assignment` (`student_id`);--> statement-breakpoint
CREATE UNIQUE INDEX `assignment_once` ON `assignment` (`program_id`,`student_id`) WHERE ended_at is null;--> statement-breakpoint
CREATE TABLE `exercise` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`name` text NOT NULL,
	`recipe` text NOT NULL,
	`hash` text NOT NULL,
	`updated_at` integer NOT NULL,
	`archived_at` integer,
	FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `exercise_by_studio` ON `exercise` (`studio_id`);--> statement-breakpoint
CREATE TABLE `ladder` (
	`item_id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`ladder` text NOT NULL,
	`dosage` text NOT NULL,
	`rule` text NOT NULL,
	FOREIGN KEY (`item_id`) REFERENCES `program_item`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `log_entry` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`student_id` text NOT NULL,
	`assignment_id` text NOT NULL,
	`item_id` text NOT NULL,
	`session_id` text NOT NULL,
	`kind` text NOT NULL,
	`at` integer NOT NULL,
	`day` text NOT NULL,
	`hash` text,
	`bpm` real,
	`verdict` text,
	`bars` integer,
	`seconds` real,
	`try_id` text,
	`suffered` text,
	FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`student_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`assignment_id`) REFERENCES `assignment`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`item_id`) REFERENCES `program_item`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`session_id`) REFERENCES `session`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `log_entry_by_student` ON `log_entry` (`student_id`,`at`);--> statement-breakpoint
CREATE INDEX `log_entry_by_item` ON `log_entry` (`assignment_id`,`item_id`,`at`);--> statement-breakpoint
CREATE TABLE `person` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`role` text NOT NULL,
	`name` text NOT NULL,
	`about` text DEFAULT '' NOT NULL,
	`archived_at` integer,
	FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `person_by_studio` ON `person` (`studio_id`);--> statement-breakpoint
CREATE TABLE `program` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`name` text NOT NULL,
	`created_at` integer NOT NULL,
	`archived_at` integer,
	FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `program_by_studio` ON `program` (`studio_id`);--> statement-breakpoint
CREATE TABLE `program_item` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`program_id` text NOT NULL,
	`exercise_id` text NOT NULL,
	`position` integer NOT NULL,
	`removed_at` integer,
	FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`program_id`) REFERENCES `program`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`exercise_id`) REFERENCES `exercise`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `program_item_by_program` ON `program_item` (`program_id`);--> statement-breakpoint
CREATE TABLE `session` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`student_id` text NOT NULL,
	`started_at` integer NOT NULL,
	`day` text NOT NULL,
	FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`student_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `session_by_student` ON `session` (`student_id`);--> statement-breakpoint
CREATE TABLE `studio` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`zone` text NOT NULL
);
