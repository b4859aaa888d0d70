CREATE TABLE `day_plans` (
	`id` text PRIMARY KEY NOT NULL,
	`of` text NOT NULL,
	`document` text NOT NULL
);
