-- The ends that are worked on in each round of a card: "front rear|rear". Empty for all that the kit touches, at once.
alter table card add column rounds varchar(200) not null default '';

-- Steps of the shop's own, in the format of the step files; the newest row of a step counts, one without a body is taken away.
create table own_step (
  seq       bigint not null auto_increment primary key,
  shop_id   char(36) character set ascii not null references shop (id),
  client    char(36) character set ascii not null,
  step      varchar(40) not null,
  body      text not null,
  person_id char(36) character set ascii not null references person (id),
  made_at   datetime(6) not null,
  unique key own_step_once (shop_id, client),
  key own_step_of_shop (shop_id, seq)
);

create trigger card_update after update on card for each row
  insert into stamp (of_id, n) select vehicle_id, 1 from job where id = new.job_id on duplicate key update n = n + 1;
create trigger own_step_insert after insert on own_step for each row
  insert into stamp (of_id, n) values (new.shop_id, 1) on duplicate key update n = n + 1;
