CREATE TABLE `fit_progress` (
	`part_id` text PRIMARY KEY NOT NULL,
	`document` text NOT NULL,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `fit_events` ADD `kind` text;--> statement-breakpoint
ALTER TABLE `fit_events` ADD `at` text;--> statement-breakpoint
ALTER TABLE `fit_events` ADD `retired` integer DEFAULT false NOT NULL;--> statement-breakpoint
CREATE INDEX `fit_events_by_kind` ON `fit_events` (`kind`,`place`);--> statement-breakpoint
UPDATE `fit_events` SET `kind` = json_extract(`event`, '$.kind'), `at` = json_extract(`event`, '$.at') WHERE `kind` IS NULL;
