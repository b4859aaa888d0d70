ALTER TABLE `batches` ADD `emptied_at` text GENERATED ALWAYS AS (case when json_valid(document) then coalesce(json_extract(document, '$.doc.emptiedAt'), json_extract(document, '$.emptiedAt')) end) VIRTUAL;--> statement-breakpoint
CREATE INDEX `batches_by_emptying` ON `batches` (`emptied_at`,`mixed_at`);--> statement-breakpoint
CREATE INDEX `jobs_by_closing` ON `jobs` (`closed_at`);--> statement-breakpoint
CREATE INDEX `parts_by_job` ON `parts` (`job_id`,`place`);