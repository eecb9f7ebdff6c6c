-- Where the vehicle stood before it was handed over, for who takes that back; unknown of what was handed over before this.
alter table handed_over
  add column was_place  varchar(12) character set ascii null,
  add column was_bay    varchar(20) null,
  add column was_holder char(36) character set ascii null references person (id),
  add column was_due    date null;

-- How somebody answered for what was still found when the sheet left: by station, finding and place.
create table hand_over_answer (
  id             char(36) character set ascii not null primary key,
  shop_id        char(36) character set ascii not null references shop (id),
  handed_over_id char(36) character set ascii not null references handed_over (id),
  item           varchar(160) not null,
  answer         varchar(12) character set ascii not null,
  reason         varchar(300) not null,
  unique key answer_of_item (handed_over_id, item)
);

-- A sheet that went to paper: its handing over is not taken back any more.
create table sheet_printed (
  id             char(36) character set ascii not null primary key,
  shop_id        char(36) character set ascii not null references shop (id),
  handed_over_id char(36) character set ascii not null references handed_over (id),
  person_id      char(36) character set ascii not null references person (id),
  made_at        datetime(6) not null,
  key printed (handed_over_id)
);

create trigger hand_over_answer_insert after insert on hand_over_answer for each row
  insert into stamp (of_id, n) select job_id, 1 from handed_over where id = new.handed_over_id
    on duplicate key update n = n + 1;
create trigger sheet_printed_insert after insert on sheet_printed for each row
  insert into stamp (of_id, n) select job_id, 1 from handed_over where id = new.handed_over_id
    on duplicate key update n = n + 1;
