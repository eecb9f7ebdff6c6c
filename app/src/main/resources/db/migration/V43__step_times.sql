-- How long a step took whoever ticked it, since the thing before that they wrote on the card; one row a step of a job.
create table step_time (
  seq       bigint not null auto_increment primary key,
  shop_id   char(36) character set ascii not null references shop (id),
  job_id    char(36) character set ascii not null references job (id),
  kind      varchar(12) character set ascii not null,
  step      varchar(60) character set ascii not null,
  step_key  varchar(80) character set ascii not null,
  minutes   double not null,
  aside     boolean not null,
  person_id char(36) character set ascii not null references person (id),
  made_at   datetime(6) not null,
  unique key step_time_once (job_id, step_key)
);

-- The same added up, so that a shop of many years reads no more than one of a week.
create table step_time_sum (
  shop_id char(36) character set ascii not null references shop (id),
  kind    varchar(12) character set ascii not null,
  step    varchar(60) character set ascii not null,
  n       int not null,
  total   double not null,
  squares double not null,
  primary key (shop_id, kind, step)
);

-- Each reading asks whether something was turned on its sheet.
alter table setting_move add key setting_move_of_sheet (sheet_id);
