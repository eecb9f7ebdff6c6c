-- What is told of a stay at a station that keeps texts by fields: of each field the newest counts.
create table stay_value (
  seq       bigint not null auto_increment primary key,
  shop_id   char(36) character set ascii not null references shop (id),
  job_id    char(36) character set ascii not null references job (id),
  station   varchar(8) character set ascii not null,
  field     varchar(24) character set ascii not null,
  raw       varchar(300) not null,
  person_id char(36) character set ascii not null references person (id),
  made_at   datetime(6) not null,
  key stay_value_of_job (job_id, station, seq)
);

insert into stay_value (seq, shop_id, job_id, station, field, raw, person_id, made_at)
  select seq, shop_id, job_id, 'SET', field, raw, person_id, made_at from setting_value order by seq;

drop table setting_value;

create trigger stay_value_insert after insert on stay_value for each row
  insert into stamp (of_id, n) select vehicle_id, 1 from job where id = new.job_id on duplicate key update n = n + 1;

create trigger stay_value_update after update on stay_value for each row
  insert into stamp (of_id, n) select vehicle_id, 1 from job where id = new.job_id on duplicate key update n = n + 1;

-- How what was to be watched was found when the vehicle was back: on the sheet that was opened then, the newest counts.
create table watch_answer (
  seq       bigint not null auto_increment primary key,
  shop_id   char(36) character set ascii not null references shop (id),
  job_id    char(36) character set ascii not null references job (id),
  sheet_id  char(36) character set ascii not null references sheet (id),
  item      varchar(170) not null,
  answer    varchar(8) character set ascii not null,
  note      varchar(300) not null,
  person_id char(36) character set ascii not null references person (id),
  made_at   datetime(6) not null,
  key watch_answer_of_job (job_id, seq)
);

create trigger watch_answer_insert after insert on watch_answer for each row
  insert into stamp (of_id, n) select vehicle_id, 1 from job where id = new.job_id on duplicate key update n = n + 1;

create trigger watch_answer_update after update on watch_answer for each row
  insert into stamp (of_id, n) select vehicle_id, 1 from job where id = new.job_id on duplicate key update n = n + 1;
