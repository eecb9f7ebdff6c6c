-- Step knowledge as it was when a card began with it: a card keeps the one that it began with.
create table step_book (
  id      char(64) character set ascii not null primary key,
  shop_id char(36) character set ascii not null references shop (id),
  body    mediumtext not null
);

-- The card of a stay: what it is for beside vehicle and plan.
create table card (
  id       char(36) character set ascii not null primary key,
  shop_id  char(36) character set ascii not null references shop (id),
  job_id   char(36) character set ascii not null references job (id),
  book_id  char(64) character set ascii not null references step_book (id),
  facts    varchar(400) not null,
  supplied varchar(400) not null,
  person_id char(36) character set ascii not null references person (id),
  begun_at datetime(6) not null,
  unique key card_of_job (job_id)
);

-- What happened to a card, in the order in which the server took it. Sent twice by one client it is one row.
create table card_entry (
  seq       bigint not null auto_increment primary key,
  shop_id   char(36) character set ascii not null references shop (id),
  job_id    char(36) character set ascii not null references job (id),
  client    char(36) character set ascii not null,
  what      varchar(12) not null,
  step      varchar(64) not null,
  item      varchar(80) not null,
  text      varchar(400) not null,
  more      varchar(400) not null,
  value     double null,
  spec_seq  bigint not null,
  person_id char(36) character set ascii not null references person (id),
  made_at   datetime(6) not null,
  unique key card_entry_once (job_id, client),
  key card_entry_of_job (job_id, seq)
);

-- What fasteners of a kind of vehicle are tightened to, and where that is from; of the best source the newest counts.
create table torque_spec (
  seq       bigint not null auto_increment primary key,
  shop_id   char(36) character set ascii not null references shop (id),
  vehicle   varchar(100) not null,
  fastener  varchar(80) not null,
  raw       varchar(80) not null,
  least     double not null,
  most      double not null,
  angle     double not null,
  source    varchar(16) not null,
  reference varchar(120) not null,
  person_id char(36) character set ascii not null references person (id),
  made_at   datetime(6) not null,
  key torque_spec_of_vehicle (shop_id, vehicle)
);

create trigger card_insert after insert on card for each row
  insert into stamp (of_id, n) select vehicle_id, 1 from job where id = new.job_id on duplicate key update n = n + 1;
create trigger card_entry_insert after insert on card_entry for each row
  insert into stamp (of_id, n) select vehicle_id, 1 from job where id = new.job_id on duplicate key update n = n + 1;
create trigger torque_spec_insert after insert on torque_spec for each row
  insert into stamp (of_id, n) values (new.shop_id, 1) on duplicate key update n = n + 1;
create trigger step_book_insert after insert on step_book for each row
  insert into stamp (of_id, n) values (new.shop_id, 1) on duplicate key update n = n + 1;
