ALTER TABLE `jobs` ADD `visit_of` text;--> statement-breakpoint
ALTER TABLE `parts` ADD `visit_of` text;