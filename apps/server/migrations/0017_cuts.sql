CREATE TABLE `cuts` (
	`id` text PRIMARY KEY NOT NULL,
	`job_id` text NOT NULL,
	`document` text NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `cuts_of_job` ON `cuts` (`job_id`);