-- Versions say themselves whose they are; they were their program's or material's.
CREATE TABLE `__new_program_version` (
	`studio_id` text NOT NULL,
	`program_id` text NOT NULL,
	`version` integer NOT NULL,
	`revision` integer NOT NULL,
	`content` text NOT NULL,
	`made_at` integer NOT NULL,
	PRIMARY KEY(`program_id`, `version`),
	FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`program_id`) REFERENCES `program`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_program_version`
SELECT p.studio_id, v.program_id, v.version, v.revision, v.content, v.made_at
FROM program_version v JOIN program p ON p.id = v.program_id;
--> statement-breakpoint
DROP TABLE `program_version`;
--> statement-breakpoint
ALTER TABLE `__new_program_version` RENAME TO `program_version`;
--> statement-breakpoint
CREATE TABLE `__new_material_version` (
	`studio_id` text NOT NULL,
	`material_id` text NOT NULL,
	`version` integer NOT NULL,
	`name` text NOT NULL,
	`content` text NOT NULL,
	`trains` text NOT NULL,
	`meter` text,
	`made_at` integer NOT NULL,
	PRIMARY KEY(`material_id`, `version`),
	FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`material_id`) REFERENCES `material`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_material_version`
SELECT m.studio_id, v.material_id, v.version, v.name, v.content, v.trains, v.meter, v.made_at
FROM material_version v JOIN material m ON m.id = v.material_id;
--> statement-breakpoint
DROP TABLE `material_version`;
--> statement-breakpoint
ALTER TABLE `__new_material_version` RENAME TO `material_version`;
