CREATE TABLE `borrowed_facts` (
	`id` text PRIMARY KEY NOT NULL,
	`says` text NOT NULL,
	`brought_at` text NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `forgotten_facts` (
	`model_id` text NOT NULL,
	`slot` text NOT NULL,
	`at` text NOT NULL,
	PRIMARY KEY(`model_id`, `slot`)
);
