CREATE TABLE `entry` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`studio_id` text NOT NULL,
	`student_id` text NOT NULL,
	`assignment_id` text,
	`item_id` text,
	`session_id` text,
	`kind` text NOT NULL,
	`about` text,
	`by` text NOT NULL,
	`at` integer NOT NULL,
	`day` text NOT NULL,
	`hash` text,
	`body` text NOT NULL,
	FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`student_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`assignment_id`) REFERENCES `assignment`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`item_id`) REFERENCES `program_item`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`session_id`) REFERENCES `session`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `entry_id_unique` ON `entry` (`id`);--> statement-breakpoint
CREATE INDEX `entry_by_student` ON `entry` (`studio_id`,`student_id`,`seq`);--> statement-breakpoint
CREATE INDEX `entry_by_item` ON `entry` (`studio_id`,`student_id`,`item_id`,`day`,`seq`);--> statement-breakpoint
CREATE INDEX `entry_by_hash` ON `entry` (`studio_id`,`hash`) WHERE hash is not null;--> statement-breakpoint
-- The log stays append-only: what was played is never rewritten. Deleting stays possible for erasing a
-- person on request.
CREATE TRIGGER `entry_append_only` BEFORE UPDATE ON `entry`
BEGIN
  SELECT RAISE(ABORT, 'log entries are append-only');
END;
--> statement-breakpoint
-- What stood in columns of its own becomes the body of each entry; order, ids and words stay.
INSERT INTO `entry` (`seq`, `id`, `studio_id`, `student_id`, `assignment_id`, `item_id`, `session_id`,
  `kind`, `about`, `by`, `at`, `day`, `hash`, `body`)
SELECT rowid, id, studio_id, student_id, assignment_id, item_id, session_id, kind, try_id,
  CASE WHEN kind IN ('decided', 'taken-back') OR coalesce(paper, 0) THEN 'teacher' ELSE 'student' END,
  at, day, hash,
  CASE kind
    WHEN 'try' THEN CASE WHEN coalesce(paper, 0)
      THEN json_object('bpm', bpm, 'rung', rung, 'verdict', verdict, 'bars', coalesce(bars, 0),
        'seconds', coalesce(seconds, 0), 'paper', json('true'))
      ELSE json_object('bpm', bpm, 'rung', rung, 'verdict', verdict, 'bars', coalesce(bars, 0),
        'seconds', coalesce(seconds, 0))
      END
    WHEN 'suffered' THEN suffered
    WHEN 'broke' THEN json_object('beat', beat)
    WHEN 'remark' THEN json_object('text', text)
    WHEN 'decided' THEN decision
    ELSE '{}'
  END
FROM log_entry ORDER BY rowid;
--> statement-breakpoint
-- What a teacher wrote to a student is an entry too, and so is that it was taken away.
INSERT INTO `entry` (`id`, `studio_id`, `student_id`, `kind`, `by`, `at`, `day`, `body`)
SELECT id, studio_id, student_id, 'note', 'teacher', at, day, json_object('text', text)
FROM note ORDER BY at, id;
--> statement-breakpoint
INSERT INTO `entry` (`id`, `studio_id`, `student_id`, `kind`, `about`, `by`, `at`, `day`, `body`)
SELECT lower(hex(randomblob(11))), studio_id, student_id, 'taken-back', id, 'teacher', archived_at,
  date(archived_at / 1000, 'unixepoch'), '{}'
FROM note WHERE archived_at IS NOT NULL ORDER BY archived_at, id;
