-- What a shop chooses to count on its shelf: one-time bolts, shims. An item that is counted no more keeps its rows.
create table shelf_item (
  id           char(36) character set ascii not null primary key,
  shop_id      char(36) character set ascii not null references shop (id),
  name         varchar(120) not null,
  thread       varchar(40) not null,
  name_key     varchar(170) not null,
  person_id    char(36) character set ascii not null references person (id),
  made_at      datetime(6) not null,
  withdrawn_at datetime(6) null,
  key shelf_item_of_shop (shop_id, name_key)
);

-- Each time it was counted, brought, or went to a vehicle or back from one.
create table shelf_move (
  seq       bigint not null auto_increment primary key,
  shop_id   char(36) character set ascii not null references shop (id),
  item_id   char(36) character set ascii not null references shelf_item (id),
  what      varchar(8) character set ascii not null,
  pieces    int not null,
  job_id    char(36) character set ascii null references job (id),
  line      varchar(120) not null,
  person_id char(36) character set ascii not null references person (id),
  made_at   datetime(6) not null,
  key shelf_move_of_item (item_id, seq)
);
