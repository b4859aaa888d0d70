CREATE TABLE `batches` (
	`id` text PRIMARY KEY NOT NULL,
	`mixed_at` text NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `blade_entries` (
	`place` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`entry` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `blade_entries_id_unique` ON `blade_entries` (`id`);--> statement-breakpoint
CREATE TABLE `devices` (
	`id` text PRIMARY KEY NOT NULL,
	`addresses` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `room_entries` (
	`place` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`at` text NOT NULL,
	`room` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `supplies` (
	`what` text PRIMARY KEY NOT NULL,
	`left_ml` real NOT NULL
);
