-- Which person has an instrument in hand, since it was switched on. Ended when somebody else takes it, or it is put down.
create table instrument_pair (
  token     char(8) character set ascii not null primary key,
  shop_id   char(36) character set ascii not null references shop (id),
  device    varchar(12) character set ascii not null,
  boot      char(8) character set ascii not null,
  person_id char(36) character set ascii not null references person (id),
  made_at   datetime(6) not null,
  ended_at  datetime(6) null,
  key instrument_pair_person (person_id, ended_at),
  key instrument_pair_device (device, boot)
);

-- What an instrument measured, before somebody takes or refuses it; what is taken is kept where it belongs.
create table instrument_reading (
  seq       bigint not null auto_increment primary key,
  shop_id   char(36) character set ascii not null references shop (id),
  device    varchar(12) character set ascii not null,
  boot      char(8) character set ascii not null,
  nr        bigint not null,
  kind      varchar(8) character set ascii not null,
  raw       varchar(24) not null,
  person_id char(36) character set ascii not null references person (id),
  made_at   datetime(6) not null,
  done      varchar(8) character set ascii null,
  unique key instrument_reading_once (shop_id, device, boot, nr),
  key instrument_reading_waiting (person_id, done, device, boot, nr)
);
