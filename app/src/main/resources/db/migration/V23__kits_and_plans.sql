-- Kits that a stay may get, each a candidate beside the others; the kind of vehicle is the one that it was for.
create table kit (
  id        char(36) character set ascii not null primary key,
  shop_id   char(36) character set ascii not null references shop (id),
  job_id    char(36) character set ascii not null references job (id),
  kind      varchar(12) not null,
  person_id char(36) character set ascii not null references person (id),
  made_at   datetime(6) not null,
  key kit_of_job (job_id, made_at)
);

-- What is told of a vehicle's springs and dampers as they are, and of a kit's parts: the newest row of a field counts, an
-- empty text is nothing told.
create table kit_value (
  seq        bigint not null auto_increment primary key,
  shop_id    char(36) character set ascii not null references shop (id),
  vehicle_id char(36) character set ascii not null references vehicle (id),
  kit_id     char(36) character set ascii null references kit (id),
  end_of     varchar(5) not null,
  field      varchar(16) not null,
  raw        varchar(400) not null,
  value      double null,
  person_id  char(36) character set ascii not null references person (id),
  made_at    datetime(6) not null,
  key kit_value_of_vehicle (vehicle_id, seq)
);

-- Which kit a stay gets, and why; the newest row counts.
create table kit_choice (
  seq       bigint not null auto_increment primary key,
  shop_id   char(36) character set ascii not null references shop (id),
  job_id    char(36) character set ascii not null references job (id),
  kit_id    char(36) character set ascii not null references kit (id),
  reason    varchar(200) not null,
  person_id char(36) character set ascii not null references person (id),
  made_at   datetime(6) not null,
  key kit_choice_of_job (job_id, seq)
);

create trigger kit_insert after insert on kit for each row
  insert into stamp (of_id, n) select vehicle_id, 1 from job where id = new.job_id on duplicate key update n = n + 1;
create trigger kit_value_insert after insert on kit_value for each row
  insert into stamp (of_id, n) values (new.vehicle_id, 1) on duplicate key update n = n + 1;
create trigger kit_choice_insert after insert on kit_choice for each row
  insert into stamp (of_id, n) select vehicle_id, 1 from job where id = new.job_id on duplicate key update n = n + 1;
