CREATE TABLE `exercise_runs` (
	`place` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`run` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `exercise_runs_id_unique` ON `exercise_runs` (`id`);