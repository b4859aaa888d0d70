CREATE TABLE `hand_overs` (
	`job_id` text PRIMARY KEY NOT NULL,
	`document` text NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `light_acknowledged` (
	`part_id` text PRIMARY KEY NOT NULL,
	`document` text NOT NULL,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action
);
