-- What was said of a line of a stay's bill of parts; of each line the newest counts.
create table part_entry (
  seq       bigint not null auto_increment primary key,
  shop_id   char(36) character set ascii not null references shop (id),
  job_id    char(36) character set ascii not null references job (id),
  client    char(36) character set ascii not null,
  line      varchar(120) not null,
  what      varchar(12) character set ascii not null,
  due       date null,
  text      varchar(200) not null,
  pieces    int not null,
  person_id char(36) character set ascii not null references person (id),
  made_at   datetime(6) not null,
  unique key part_entry_client (shop_id, client),
  key part_entry_of_job (job_id, seq)
);

-- Whether a shop has a tool that a card asks for, or hires or borrows it for one stay.
create table tool_entry (
  seq       bigint not null auto_increment primary key,
  shop_id   char(36) character set ascii not null references shop (id),
  job_id    char(36) character set ascii not null references job (id),
  tool      varchar(120) not null,
  what      varchar(8) character set ascii not null,
  person_id char(36) character set ascii not null references person (id),
  made_at   datetime(6) not null,
  key tool_entry_of_shop (shop_id, tool, seq)
);

create trigger part_entry_insert after insert on part_entry for each row
  insert into stamp (of_id, n) select vehicle_id, 1 from job where id = new.job_id on duplicate key update n = n + 1;
create trigger part_entry_update after update on part_entry for each row
  insert into stamp (of_id, n) select vehicle_id, 1 from job where id = new.job_id on duplicate key update n = n + 1;
create trigger tool_entry_insert after insert on tool_entry for each row
  insert into stamp (of_id, n) values (new.shop_id, 1) on duplicate key update n = n + 1;
