CREATE TABLE `films` (
	`id` text PRIMARY KEY NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `fit_events` (
	`place` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`part_id` text NOT NULL,
	`event` text NOT NULL,
	`received_at` text NOT NULL,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `fit_events_id_unique` ON `fit_events` (`id`);--> statement-breakpoint
CREATE INDEX `fit_events_by_part` ON `fit_events` (`part_id`,`place`);--> statement-breakpoint
CREATE TABLE `forms` (
	`id` text PRIMARY KEY NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `jobs` (
	`id` text PRIMARY KEY NOT NULL,
	`number` text NOT NULL,
	`customer` text NOT NULL,
	`vehicle_model` text NOT NULL,
	`vehicle_kind` text NOT NULL,
	`colour` text NOT NULL,
	`fleet_number` text NOT NULL,
	`bay` text NOT NULL,
	`person_id` text NOT NULL,
	`room_temperature_c` real NOT NULL,
	`room_humidity_percent` real NOT NULL,
	`arrived_at` text NOT NULL,
	`due_at` text NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `jobs_number_unique` ON `jobs` (`number`);--> statement-breakpoint
CREATE TABLE `parts` (
	`id` text PRIMARY KEY NOT NULL,
	`job_id` text NOT NULL,
	`place` integer NOT NULL,
	`name` text NOT NULL,
	`form_id` text NOT NULL,
	`film_id` text NOT NULL,
	`piece_id` text NOT NULL,
	`shift_x_mm` real NOT NULL,
	`shift_y_mm` real NOT NULL,
	`shift_turn_deg` real NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`form_id`) REFERENCES `forms`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`film_id`) REFERENCES `films`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`piece_id`) REFERENCES `pieces`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `people` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`role` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `pieces` (
	`id` text PRIMARY KEY NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `shops` (
	`id` text PRIMARY KEY NOT NULL,
	`settings` text NOT NULL
);
