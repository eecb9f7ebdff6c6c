-- A remedy that was planned was done to the vehicle; taken back by a withdrawal.
create table remedy_fitted (
  id         char(36) character set ascii not null primary key,
  nr         bigint not null auto_increment unique key,
  shop_id    char(36) character set ascii not null references shop (id),
  vehicle_id char(36) character set ascii not null references vehicle (id),
  remedy_id  char(36) character set ascii not null references remedy_taken (id),
  person_id  char(36) character set ascii not null references person (id),
  made_at    datetime(6) not null,
  key remedy_fitted_of_vehicle (vehicle_id, nr)
);

create trigger remedy_fitted_insert after insert on remedy_fitted for each row
  insert into stamp (of_id, n) values (new.vehicle_id, 1) on duplicate key update n = n + 1;

-- What a turn was expected to do, as it was worked out then, mm, corners LF RF RR LR apart by blanks: to heights over the
-- hub and over the ground, and one standard deviation of each corner. Empty for what was turned before that was kept.
alter table setting_move
  add column over_hub    varchar(120) character set ascii not null default '',
  add column over_ground varchar(120) character set ascii not null default '',
  add column widths      varchar(120) character set ascii not null default '';
