ALTER TABLE `films` ADD `removed_at` text;--> statement-breakpoint
ALTER TABLE `forms` ADD `removed_at` text;--> statement-breakpoint
ALTER TABLE `kits` ADD `removed_at` text;--> statement-breakpoint
ALTER TABLE `models` ADD `removed_at` text;--> statement-breakpoint
ALTER TABLE `pieces` ADD `removed_at` text;