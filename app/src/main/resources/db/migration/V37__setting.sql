-- What is told of a stay's adjusters and of the heights that are wanted: of each field the newest counts.
create table setting_value (
  seq       bigint not null auto_increment primary key,
  shop_id   char(36) character set ascii not null references shop (id),
  job_id    char(36) character set ascii not null references job (id),
  field     varchar(24) character set ascii not null,
  raw       varchar(120) not null,
  person_id char(36) character set ascii not null references person (id),
  made_at   datetime(6) not null,
  key setting_value_of_job (job_id, seq)
);

-- What was turned between two measurements of a sheet: the heights before it in mm, which reading was the newest then, and
-- what each adjuster was moved, at the wheel as it was believed, in mm. Corners LF RF RR LR, apart by blanks.
create table setting_move (
  id         char(36) character set ascii not null primary key,
  nr         bigint not null auto_increment unique key,
  shop_id    char(36) character set ascii not null references shop (id),
  job_id     char(36) character set ascii not null references job (id),
  sheet_id   char(36) character set ascii not null references sheet (id),
  method     varchar(8) character set ascii not null,
  heights    varchar(120) character set ascii not null,
  after_nr   bigint not null,
  moves      varchar(120) character set ascii not null,
  hows       varchar(600) character set ascii not null,
  person_id  char(36) character set ascii not null references person (id),
  made_at    datetime(6) not null,
  key setting_move_of_job (job_id, nr)
);

create trigger setting_value_insert after insert on setting_value for each row
  insert into stamp (of_id, n) select vehicle_id, 1 from job where id = new.job_id on duplicate key update n = n + 1;

create trigger setting_move_insert after insert on setting_move for each row
  insert into stamp (of_id, n) select vehicle_id, 1 from job where id = new.job_id on duplicate key update n = n + 1;
