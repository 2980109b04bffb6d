CREATE TABLE `note` (
	`id` text PRIMARY KEY NOT NULL,
	`studio_id` text NOT NULL,
	`student_id` text NOT NULL,
	`text` text NOT NULL,
	`day` text NOT NULL,
	`at` integer NOT NULL,
	`archived_at` integer,
	FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`student_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `note_by_student` ON `note` (`student_id`);--> statement-breakpoint
CREATE TABLE `program_version` (
	`program_id` text NOT NULL,
	`version` integer NOT NULL,
	`revision` integer NOT NULL,
	`content` text NOT NULL,
	`made_at` integer NOT NULL,
	PRIMARY KEY(`program_id`, `version`),
	FOREIGN KEY (`program_id`) REFERENCES `program`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `assignment` ADD `version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `assignment` ADD `starts` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `log_entry` ADD `rung` text;--> statement-breakpoint
ALTER TABLE `log_entry` ADD `paper` integer;--> statement-breakpoint
ALTER TABLE `log_entry` ADD `beat` integer;--> statement-breakpoint
ALTER TABLE `log_entry` ADD `decision` text;--> statement-breakpoint
ALTER TABLE `program` ADD `template` integer DEFAULT false NOT NULL;--> statement-breakpoint
CREATE INDEX `log_entry_latest` ON `log_entry` (`student_id`);--> statement-breakpoint
-- Every program's items, with their ladders and recipes, become its first version.
INSERT INTO `program_version` (`program_id`, `version`, `revision`, `content`, `made_at`)
SELECT p.id, 1, 1, json_object('sections', json_array(json_object(
  'id', 'first',
  'name', '',
  'items', coalesce((
    SELECT json_group_array(json(made.item)) FROM (
      SELECT json_object(
        'id', i.id,
        'kind', 'exercise',
        'exerciseId', i.exercise_id,
        'hash', x.hash,
        'name', x.name,
        'course', json_object('ladder', json(l.ladder), 'dosage', json(l.dosage), 'rule', json(l.rule)),
        'cues', json_array(),
        'after', json_array(),
        'recipe', json(x.recipe)
      ) AS item
      FROM program_item i
      JOIN ladder l ON l.item_id = i.id
      JOIN exercise x ON x.id = i.exercise_id
      WHERE i.program_id = p.id AND i.removed_at IS NULL
      ORDER BY i.position, i.id
    ) AS made
  ), json_array())
))), p.created_at
FROM program p;
