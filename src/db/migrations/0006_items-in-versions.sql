DROP TABLE `ladder`;--> statement-breakpoint
ALTER TABLE `program_item` DROP COLUMN `position`;--> statement-breakpoint
ALTER TABLE `program_item` DROP COLUMN `removed_at`;