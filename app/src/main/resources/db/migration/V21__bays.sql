-- The bays of a shop, one a line: those without a vehicle are drawn free on the floor.
alter table shop add column bays varchar(1000) not null default '';
