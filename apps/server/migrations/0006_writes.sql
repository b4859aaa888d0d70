CREATE TABLE `writes` (
	`id` text PRIMARY KEY NOT NULL,
	`hash` text NOT NULL,
	`status` integer NOT NULL,
	`answer` text NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `writes_by_time` ON `writes` (`at`);