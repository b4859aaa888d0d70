CREATE TABLE `roll_lines` (
	`place` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`roll_id` text NOT NULL,
	`entry` text NOT NULL,
	FOREIGN KEY (`roll_id`) REFERENCES `rolls`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `roll_lines_id_unique` ON `roll_lines` (`id`);--> statement-breakpoint
CREATE INDEX `lines_of_roll` ON `roll_lines` (`roll_id`);--> statement-breakpoint
CREATE TABLE `rolls` (
	`id` text PRIMARY KEY NOT NULL,
	`document` text NOT NULL
);
