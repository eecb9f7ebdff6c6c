-- Gaps that were probed, with the wheel they were measured from: together they fix an obstacle for ever.
create table probe (
  id         char(36) character set ascii not null primary key,
  shop_id    char(36) character set ascii not null references shop (id),
  vehicle_id char(36) character set ascii not null references vehicle (id),
  corner     varchar(2) not null,
  place      varchar(20) not null,
  clock      decimal(4, 2) not null,
  face       varchar(20) not null,
  gap_raw    varchar(40) not null,
  gap_nm     bigint not null,
  tyre       varchar(40) not null,
  wheel      varchar(40) not null,
  spacer_nm  bigint not null,
  in_use     boolean not null,
  person_id  char(36) character set ascii not null references person (id),
  made_at    datetime(6) not null,
  key probe_of_vehicle (vehicle_id, corner, made_at)
);
