CREATE TABLE `arrivals` (
	`job_id` text NOT NULL,
	`piece_id` text NOT NULL,
	`document` text NOT NULL,
	PRIMARY KEY(`job_id`, `piece_id`),
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`piece_id`) REFERENCES `pieces`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `films` (
	`id` text PRIMARY KEY NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `findings` (
	`place` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`job_id` text NOT NULL,
	`document` text NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `findings_id_unique` ON `findings` (`id`);--> statement-breakpoint
CREATE INDEX `findings_by_job` ON `findings` (`job_id`,`place`);--> statement-breakpoint
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
	`id` text NOT NULL,
	`version` integer NOT NULL,
	`document` text NOT NULL,
	PRIMARY KEY(`id`, `version`)
);
--> statement-breakpoint
CREATE TABLE `jobs` (
	`id` text PRIMARY KEY NOT NULL,
	`number` text NOT NULL,
	`customer` text NOT NULL,
	`vehicle_model_id` text NOT NULL,
	`vehicle_model` text NOT NULL,
	`vehicle_kind` text NOT NULL,
	`vehicle_year` integer,
	`colour` text NOT NULL,
	`plate` text NOT NULL,
	`bay` text NOT NULL,
	`person_id` text NOT NULL,
	`room_temperature_c` real NOT NULL,
	`room_humidity_percent` real NOT NULL,
	`arrived_at` text NOT NULL,
	`due_at` text NOT NULL,
	`closed_at` text,
	`sign_off` text,
	FOREIGN KEY (`vehicle_model_id`) REFERENCES `models`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `jobs_number_unique` ON `jobs` (`number`);--> statement-breakpoint
CREATE INDEX `jobs_by_plate` ON `jobs` (`plate`);--> statement-breakpoint
CREATE TABLE `kits` (
	`id` text PRIMARY KEY NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `models` (
	`id` text PRIMARY KEY NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `parts` (
	`id` text PRIMARY KEY NOT NULL,
	`job_id` text NOT NULL,
	`place` integer NOT NULL,
	`name` text NOT NULL,
	`slot` text NOT NULL,
	`within` text,
	`form_id` text,
	`form_version` integer,
	`film_id` text NOT NULL,
	`piece_id` text,
	`shift_x_mm` real NOT NULL,
	`shift_y_mm` real NOT NULL,
	`shift_turn_deg` real NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action,
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
	`kit_id` text NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `shops` (
	`id` text PRIMARY KEY NOT NULL,
	`settings` text NOT NULL
);
