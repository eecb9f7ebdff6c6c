-- A vehicle owns several sets of wheels: from new, on it now, planned, others. Texts as typed, by item.
create table wheel_set (
  id         char(36) character set ascii not null primary key,
  shop_id    char(36) character set ascii not null references shop (id),
  vehicle_id char(36) character set ascii not null references vehicle (id),
  name       varchar(60) not null,
  used       varchar(8) not null,
  in_use     boolean not null,
  person_id  char(36) character set ascii not null references person (id),
  made_at    datetime(6) not null,
  key set_of_vehicle (vehicle_id, made_at)
);

create table wheel_set_item (
  set_id char(36) character set ascii not null references wheel_set (id),
  item   varchar(16) not null,
  raw    varchar(40) not null,
  primary key (set_id, item)
);
