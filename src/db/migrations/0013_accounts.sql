CREATE TABLE `account` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text DEFAULT '' NOT NULL,
	`email` text NOT NULL,
	`email_verified` integer DEFAULT false NOT NULL,
	`image` text,
	`created_at` integer NOT NULL,
	`updated_at` integer NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `account_email_unique` ON `account` (`email`);--> statement-breakpoint
CREATE TABLE `audit` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`at` integer NOT NULL,
	`kind` text NOT NULL,
	`by_id` text,
	`about_id` text,
	FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`by_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE set null,
	FOREIGN KEY (`about_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE set null
);
--> statement-breakpoint
CREATE INDEX `audit_by_studio` ON `audit` (`studio_id`,`at`);--> statement-breakpoint
CREATE TABLE `login` (
	`id` text PRIMARY KEY NOT NULL,
	`account_id` text NOT NULL,
	`provider_id` text NOT NULL,
	`user_id` text NOT NULL,
	`access_token` text,
	`refresh_token` text,
	`id_token` text,
	`access_token_expires_at` integer,
	`refresh_token_expires_at` integer,
	`scope` text,
	`password` text,
	`created_at` integer NOT NULL,
	`updated_at` integer NOT NULL,
	FOREIGN KEY (`user_id`) REFERENCES `account`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `login_by_user` ON `login` (`user_id`);--> statement-breakpoint
CREATE TABLE `mail` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`at` integer NOT NULL,
	`to` text NOT NULL,
	`sealed` text NOT NULL,
	FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `mail_by_studio` ON `mail` (`studio_id`,`at`);--> statement-breakpoint
CREATE TABLE `pass` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`kind` text NOT NULL,
	`person_id` text,
	`program_id` text,
	`name` text DEFAULT '' NOT NULL,
	`email` text,
	`hash` text,
	`created_at` integer NOT NULL,
	`ends_at` integer,
	FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`person_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`program_id`) REFERENCES `program`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `pass_hash_unique` ON `pass` (`hash`);--> statement-breakpoint
CREATE INDEX `pass_by_studio` ON `pass` (`studio_id`,`kind`);--> statement-breakpoint
CREATE INDEX `pass_by_person` ON `pass` (`person_id`);--> statement-breakpoint
CREATE TABLE `proof` (
	`id` text PRIMARY KEY NOT NULL,
	`identifier` text NOT NULL,
	`value` text NOT NULL,
	`expires_at` integer NOT NULL,
	`created_at` integer NOT NULL,
	`updated_at` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `proof_by_identifier` ON `proof` (`identifier`);--> statement-breakpoint
CREATE TABLE `sign_in` (
	`id` text PRIMARY KEY NOT NULL,
	`token` text NOT NULL,
	`token_before` text,
	`rotated_at` integer NOT NULL,
	`account_id` text NOT NULL,
	`person_id` text NOT NULL,
	`tablet_id` text,
	`agent` text NOT NULL,
	`created_at` integer NOT NULL,
	`last_at` integer NOT NULL,
	`ends_at` integer NOT NULL,
	FOREIGN KEY (`account_id`) REFERENCES `account`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`person_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`tablet_id`) REFERENCES `tablet`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `sign_in_token_unique` ON `sign_in` (`token`);--> statement-breakpoint
CREATE UNIQUE INDEX `sign_in_token_before_unique` ON `sign_in` (`token_before`);--> statement-breakpoint
CREATE INDEX `sign_in_by_account` ON `sign_in` (`account_id`);--> statement-breakpoint
CREATE INDEX `sign_in_by_person` ON `sign_in` (`person_id`);--> statement-breakpoint
CREATE TABLE `tablet` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`name` text NOT NULL,
	`hash` text NOT NULL,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `tablet_hash_unique` ON `tablet` (`hash`);--> statement-breakpoint
CREATE INDEX `tablet_by_studio` ON `tablet` (`studio_id`);--> statement-breakpoint
CREATE TABLE `teaching` (
	`studio_id` text NOT NULL,
	`teacher_id` text NOT NULL,
	`student_id` text NOT NULL,
	PRIMARY KEY(`teacher_id`, `student_id`),
	FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`teacher_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`student_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `teaching_by_student` ON `teaching` (`student_id`);--> statement-breakpoint
INSERT INTO `pass` (`id`, `studio_id`, `kind`, `person_id`, `hash`, `created_at`)
	SELECT `id`, `studio_id`, 'calendar', `id`, sha256(`feed`), 0 FROM `person` WHERE `feed` IS NOT NULL;--> statement-breakpoint
UPDATE `person` SET `role` = 'owner' WHERE `role` = 'teacher' AND `id` IN
	(SELECT min(`id`) FROM `person` WHERE `role` = 'teacher' AND `archived_at` IS NULL GROUP BY `studio_id`);--> statement-breakpoint
INSERT INTO `teaching` (`studio_id`, `teacher_id`, `student_id`)
	SELECT t.`studio_id`, t.`id`, s.`id` FROM `person` t JOIN `person` s ON s.`studio_id` = t.`studio_id`
	WHERE t.`role` IN ('owner', 'teacher') AND s.`role` = 'student';--> statement-breakpoint
DROP INDEX `person_feed_unique`;--> statement-breakpoint
ALTER TABLE `person` ADD `account_id` text REFERENCES account(id) ON DELETE SET NULL;--> statement-breakpoint
ALTER TABLE `person` ADD `pin` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
CREATE INDEX `person_by_account` ON `person` (`account_id`);--> statement-breakpoint
ALTER TABLE `person` DROP COLUMN `feed`;--> statement-breakpoint
ALTER TABLE `studio` ADD `demo` integer DEFAULT false NOT NULL;