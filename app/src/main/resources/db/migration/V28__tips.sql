-- What somebody found out at a step of a kind of vehicle, for whoever has the next of the kind in hand.
create table step_tip (
  seq       bigint not null auto_increment primary key,
  shop_id   char(36) character set ascii not null references shop (id),
  client    char(36) character set ascii not null,
  vehicle   varchar(100) not null,
  step      varchar(40) not null,
  text      varchar(300) not null,
  person_id char(36) character set ascii not null references person (id),
  made_at   datetime(6) not null,
  unique key step_tip_once (shop_id, client),
  key step_tip_of_vehicle (shop_id, vehicle)
);

create trigger step_tip_insert after insert on step_tip for each row
  insert into stamp (of_id, n) values (new.shop_id, 1) on duplicate key update n = n + 1;
