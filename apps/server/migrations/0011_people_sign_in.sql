CREATE TABLE `changes` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`at` text NOT NULL,
	`person_id` text,
	`tablet_id` text,
	`what` text NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`tablet_id`) REFERENCES `tablets`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `pins` (
	`person_id` text PRIMARY KEY NOT NULL,
	`hash` text,
	`may_choose_until` text,
	`wrong` integer DEFAULT 0 NOT NULL,
	`wrong_at` text,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `sessions` (
	`token_hash` text PRIMARY KEY NOT NULL,
	`person_id` text NOT NULL,
	`tablet_id` text,
	`started_at` text NOT NULL,
	`used_at` text NOT NULL,
	`ended_at` text,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`tablet_id`) REFERENCES `tablets`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `sessions_of_person` ON `sessions` (`person_id`);--> statement-breakpoint
CREATE TABLE `tablets` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`token_hash` text NOT NULL,
	`paired_at` text NOT NULL,
	`seen_at` text,
	`removed_at` text
);
--> statement-breakpoint
CREATE UNIQUE INDEX `tablets_token_hash_unique` ON `tablets` (`token_hash`);