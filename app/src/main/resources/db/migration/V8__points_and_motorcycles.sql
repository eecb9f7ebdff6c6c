-- A place is a corner, an end of a motorcycle, its seat or the vehicle as a whole.
alter table reading modify corner varchar(8) not null;

alter table vehicle
  add head_angle varchar(20) not null default '',
  add twin_rear boolean not null default false;

-- Points that a shop named: for one vehicle, or for all of a kind. What was read at them keeps their code for ever.
create table point (
  id         char(36) character set ascii not null primary key,
  shop_id    char(36) character set ascii not null references shop (id),
  code       varchar(8) not null,
  name       varchar(40) not null,
  kind       varchar(12) not null,
  vehicle_id char(36) character set ascii null references vehicle (id),
  places     varchar(60) not null,
  tyre       boolean not null,
  floor      boolean not null,
  in_use     boolean not null,
  person_id  char(36) character set ascii not null references person (id),
  made_at    datetime(6) not null,
  unique key code_of_shop (shop_id, code)
);
