-- The order in which this shop walks round a vehicle.
alter table shop add column walk varchar(11) character set ascii not null default 'LF RF RR LR';
