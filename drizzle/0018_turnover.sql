CREATE TABLE `turnover` (
	`name` text PRIMARY KEY NOT NULL,
	`sum` integer NOT NULL
);
