-- What a piece costs and what its freight and duty are, in the shop's money.
alter table part_entry add column price decimal(10, 2) null, add column freight decimal(10, 2) null;

-- What was measured of the part that comes off and of the one that goes on; of each figure the newest counts, an empty one takes it back.
create table part_figure (
  seq       bigint not null auto_increment primary key,
  shop_id   char(36) character set ascii not null references shop (id),
  job_id    char(36) character set ascii not null references job (id),
  line      varchar(120) not null,
  figure    varchar(12) character set ascii not null,
  raw       varchar(120) not null,
  value     double not null,
  person_id char(36) character set ascii not null references person (id),
  made_at   datetime(6) not null,
  key part_figure_of_job (job_id, seq)
);
create trigger part_figure_insert after insert on part_figure for each row
  insert into stamp (of_id, n) select vehicle_id, 1 from job where id = new.job_id on duplicate key update n = n + 1;
create trigger part_figure_update after update on part_figure for each row
  insert into stamp (of_id, n) select vehicle_id, 1 from job where id = new.job_id on duplicate key update n = n + 1;

-- The one verdict hears of a shelf that is below nothing.
create trigger shelf_item_insert after insert on shelf_item for each row
  insert into stamp (of_id, n) values (new.shop_id, 1) on duplicate key update n = n + 1;
create trigger shelf_item_update after update on shelf_item for each row
  insert into stamp (of_id, n) values (new.shop_id, 1) on duplicate key update n = n + 1;
create trigger shelf_move_insert after insert on shelf_move for each row
  insert into stamp (of_id, n) values (new.shop_id, 1) on duplicate key update n = n + 1;

-- What a reading became: the id under which it was sent, the page and the name of its field.
alter table instrument_reading add column into_id char(36) character set ascii null, add column page varchar(160) null,
  add column field varchar(120) null;
