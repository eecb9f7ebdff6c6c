-- The color in which somebody marks what they tightened; empty while they did not say.
alter table person add column paint varchar(10) character set ascii not null default '';
