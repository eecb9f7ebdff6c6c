-- What a stay that was handed over told of its kit: a row for each thing. The bins beside count them, so that a page of a
-- hundred thousand stays reads no more than one of a thousand.
create table memory_seen (
  seq      bigint not null auto_increment primary key,
  shop_id  char(36) character set ascii not null references shop (id),
  job_id   char(36) character set ascii not null references job (id),
  kit_key  varchar(120) not null,
  kind     varchar(12) character set ascii not null,
  what     varchar(24) character set ascii not null,
  value    double not null,
  made_at  datetime(6) not null,
  unique key memory_of_job (job_id, what),
  key memory_of_kit (shop_id, kit_key, kind, what, seq)
);

create table memory_bin (
  shop_id  char(36) character set ascii not null references shop (id),
  kit_key  varchar(120) not null,
  kind     varchar(12) character set ascii not null,
  what     varchar(24) character set ascii not null,
  bin      int not null,
  n        int not null,
  primary key (shop_id, kit_key, kind, what, bin)
);

-- A stay that does not count, and why; taking that back is a row of withdrawal.
create table memory_struck (
  id        char(36) character set ascii not null primary key,
  shop_id   char(36) character set ascii not null references shop (id),
  job_id    char(36) character set ascii not null references job (id),
  reason    varchar(300) not null,
  person_id char(36) character set ascii not null references person (id),
  made_at   datetime(6) not null,
  key memory_struck_job (job_id)
);

create trigger memory_seen_insert after insert on memory_seen for each row
  insert into stamp (of_id, n) values (new.shop_id, 1) on duplicate key update n = n + 1;
create trigger memory_seen_delete after delete on memory_seen for each row
  insert into stamp (of_id, n) values (old.shop_id, 1) on duplicate key update n = n + 1;
create trigger memory_struck_insert after insert on memory_struck for each row
  insert into stamp (of_id, n) values (new.shop_id, 1) on duplicate key update n = n + 1;
create trigger memory_struck_update after update on memory_struck for each row
  insert into stamp (of_id, n) values (new.shop_id, 1) on duplicate key update n = n + 1;
