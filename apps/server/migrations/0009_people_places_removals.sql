ALTER TABLE `jobs` ADD `removed_at` text;--> statement-breakpoint
ALTER TABLE `parts` ADD `dropped_at` text;--> statement-breakpoint
ALTER TABLE `people` ADD `hours` text;--> statement-breakpoint
ALTER TABLE `people` ADD `left_at` text;--> statement-breakpoint
UPDATE `people` SET `role` = CASE WHEN `role` LIKE '%lead%' THEN 'lead' WHEN `role` LIKE '%new%' THEN 'new hand' ELSE 'installer' END WHERE `role` NOT IN ('lead', 'installer', 'new hand');
