ALTER TABLE `person` ADD `feed` text;--> statement-breakpoint
CREATE UNIQUE INDEX `person_feed_unique` ON `person` (`feed`);--> statement-breakpoint
ALTER TABLE `studio` ADD `address` text;