-- What counts no more is said in a row of its own: who said so and when. Before this only a flag was kept, so neither is
-- known of what was withdrawn until now.
create table withdrawal (
  id         char(36) character set ascii not null primary key,
  shop_id    char(36) character set ascii not null references shop (id),
  vehicle_id char(36) character set ascii null references vehicle (id),
  of_id      char(36) character set ascii not null,
  person_id  char(36) character set ascii null references person (id),
  made_at    datetime(6) null,
  key withdrawn (of_id)
);

insert into withdrawal (id, shop_id, vehicle_id, of_id)
  select uuid(), shop_id, vehicle_id, id from wheel_set where not in_use
  union all select uuid(), shop_id, vehicle_id, id from probe where not in_use
  union all select uuid(), shop_id, vehicle_id, id from remedy_taken where not in_use
  union all select uuid(), shop_id, vehicle_id, id from road_test where not in_use
  union all select uuid(), shop_id, vehicle_id, id from low_point where not in_use
  union all select uuid(), shop_id, vehicle_id, id from own_ground where not in_use
  union all select uuid(), shop_id, vehicle_id, id from point where not in_use
  union all select uuid(), m.shop_id, r.vehicle_id, m.id
    from road_mark m join road_test r on r.id = m.road_test_id where not m.in_use;

alter table wheel_set drop column in_use;
alter table probe drop column in_use;
alter table remedy_taken drop column in_use;
alter table road_test drop column in_use;
alter table road_mark drop column in_use;
alter table low_point drop column in_use;
alter table own_ground drop column in_use;
alter table point drop column in_use;

-- Every row says whose it is, those that hang on another row too.
alter table vehicle_measure add column shop_id char(36) character set ascii null first;
update vehicle_measure m join vehicle v on v.id = m.vehicle_id set m.shop_id = v.shop_id;
alter table vehicle_measure modify shop_id char(36) character set ascii not null, add foreign key (shop_id) references shop (id);

alter table job_advertised add column shop_id char(36) character set ascii null first;
update job_advertised a join job j on j.id = a.job_id set a.shop_id = j.shop_id;
alter table job_advertised modify shop_id char(36) character set ascii not null, add foreign key (shop_id) references shop (id);

alter table wheel_set_item add column shop_id char(36) character set ascii null first;
update wheel_set_item i join wheel_set s on s.id = i.set_id set i.shop_id = s.shop_id;
alter table wheel_set_item modify shop_id char(36) character set ascii not null, add foreign key (shop_id) references shop (id);

alter table floor_pad add column shop_id char(36) character set ascii null first;
update floor_pad d join floor_survey f on f.id = d.survey_id set d.shop_id = f.shop_id;
alter table floor_pad modify shop_id char(36) character set ascii not null, add foreign key (shop_id) references shop (id);

update audit set what = 'POINT_WITHDRAWN' where what = 'POINT_AT_REST';

-- What two people may have open at once: a save says which version it was made from.
alter table shop add column version int not null default 0;
alter table vehicle add column version int not null default 0;
alter table job add column version int not null default 0, add column moved int not null default 0;
alter table wheel_set add column version int not null default 0;

-- How often something was written: what was read under a stamp is true for as long as the stamp stands, in whatever
-- process it was read. A row counts at what it hangs on; no foreign key, so that no two writers wait for each other
-- in a circle. A vehicle's stamp is the sum of its own, its stays' and their sheets'.
create table stamp (
  of_id char(36) character set ascii not null,
  what  varchar(8) character set ascii not null default '',
  n     bigint not null,
  primary key (of_id, what)
);

-- Rows without a trigger (measures, promises, pads, items, bumps and wheels of a drive) are written together with the row
-- that they hang on.
create trigger shop_insert after insert on shop for each row
  insert into stamp (of_id, n) values (new.id, 1) on duplicate key update n = n + 1;
create trigger shop_update after update on shop for each row
  insert into stamp (of_id, n) values (new.id, 1) on duplicate key update n = n + 1;
create trigger person_insert after insert on person for each row
  insert into stamp (of_id, n) values (new.shop_id, 1) on duplicate key update n = n + 1;
create trigger person_update after update on person for each row
  insert into stamp (of_id, n) values (new.shop_id, 1) on duplicate key update n = n + 1;
create trigger shop_limit_insert after insert on shop_limit for each row
  insert into stamp (of_id, n) values (new.shop_id, 1) on duplicate key update n = n + 1;
create trigger shop_limit_update after update on shop_limit for each row
  insert into stamp (of_id, n) values (new.shop_id, 1) on duplicate key update n = n + 1;
create trigger shop_limit_delete after delete on shop_limit for each row
  insert into stamp (of_id, n) values (old.shop_id, 1) on duplicate key update n = n + 1;
create trigger floor_survey_insert after insert on floor_survey for each row
  insert into stamp (of_id, n) values (new.shop_id, 1) on duplicate key update n = n + 1;
create trigger point_insert after insert on point for each row
  insert into stamp (of_id, n) values (new.shop_id, 1) on duplicate key update n = n + 1;
create trigger needed_gap_insert after insert on needed_gap for each row
  insert into stamp (of_id, n) values (new.shop_id, 1) on duplicate key update n = n + 1;
create trigger vehicle_insert after insert on vehicle for each row
  insert into stamp (of_id, n) values (new.id, 1) on duplicate key update n = n + 1;
create trigger vehicle_update after update on vehicle for each row
  insert into stamp (of_id, n) values (new.id, 1) on duplicate key update n = n + 1;
create trigger job_insert after insert on job for each row
  insert into stamp (of_id, n) values (new.vehicle_id, 1) on duplicate key update n = n + 1;
create trigger job_update after update on job for each row
  insert into stamp (of_id, n) values (new.vehicle_id, 1) on duplicate key update n = n + 1;
create trigger sheet_insert after insert on sheet for each row
  insert into stamp (of_id, n) values (new.job_id, 1) on duplicate key update n = n + 1;
create trigger sheet_update after update on sheet for each row
  insert into stamp (of_id, n) values (new.job_id, 1) on duplicate key update n = n + 1;
create trigger reading_insert after insert on reading for each row
  insert into stamp (of_id, n) values (new.sheet_id, 1) on duplicate key update n = n + 1;
create trigger state_entry_insert after insert on state_entry for each row
  insert into stamp (of_id, n) values (new.sheet_id, 1) on duplicate key update n = n + 1;
create trigger handed_over_insert after insert on handed_over for each row
  insert into stamp (of_id, n) values (new.job_id, 1) on duplicate key update n = n + 1;
create trigger wheel_set_insert after insert on wheel_set for each row
  insert into stamp (of_id, n) values (new.vehicle_id, 1) on duplicate key update n = n + 1;
create trigger wheel_set_update after update on wheel_set for each row
  insert into stamp (of_id, n) values (new.vehicle_id, 1) on duplicate key update n = n + 1;
create trigger probe_insert after insert on probe for each row
  insert into stamp (of_id, n) values (new.vehicle_id, 1) on duplicate key update n = n + 1;
create trigger sweep_plan_insert after insert on sweep_plan for each row
  insert into stamp (of_id, n) values (new.vehicle_id, 1) on duplicate key update n = n + 1;
create trigger remedy_taken_insert after insert on remedy_taken for each row
  insert into stamp (of_id, n) values (new.vehicle_id, 1) on duplicate key update n = n + 1;
create trigger road_test_insert after insert on road_test for each row
  insert into stamp (of_id, n) values (new.vehicle_id, 1) on duplicate key update n = n + 1;
create trigger low_point_insert after insert on low_point for each row
  insert into stamp (of_id, n) values (new.vehicle_id, 1) on duplicate key update n = n + 1;
create trigger own_ground_insert after insert on own_ground for each row
  insert into stamp (of_id, n) values (new.vehicle_id, 1) on duplicate key update n = n + 1;
create trigger withdrawal_insert after insert on withdrawal for each row
  insert into stamp (of_id, n) values (coalesce(new.vehicle_id, new.shop_id), 1) on duplicate key update n = n + 1;
create trigger road_mark_insert after insert on road_mark for each row
  insert into stamp (of_id, n) select vehicle_id, 1 from road_test where id = new.road_test_id
    on duplicate key update n = n + 1;

-- What two people read at one spot tells how well a shop reads; it is counted apart from what the shop set.
create trigger reading_repeated after insert on reading for each row follows reading_insert
  insert into stamp (of_id, what, n)
    select new.shop_id, 'repeats', 1 from dual
     where exists (select 1 from reading o where o.sheet_id = new.sheet_id and o.corner = new.corner
                     and o.method = new.method and o.person_id <> new.person_id)
    on duplicate key update n = n + 1;

-- The stamp of the vehicle of each stay.
create sql security invoker view vehicle_stamp as
  select j.shop_id, j.id as job_id, j.vehicle_id,
         coalesce((select t.n from stamp t where t.of_id = j.vehicle_id and t.what = ''), 0)
       + coalesce((select sum(t.n) from job k join stamp t on t.of_id = k.id and t.what = ''
                    where k.vehicle_id = j.vehicle_id), 0)
       + coalesce((select sum(t.n) from job k join sheet s on s.job_id = k.id join stamp t on t.of_id = s.id and t.what = ''
                    where k.vehicle_id = j.vehicle_id), 0) as vehicle,
         coalesce((select t.n from stamp t where t.of_id = j.shop_id and t.what = ''), 0) as shop,
         coalesce((select t.n from stamp t where t.of_id = j.shop_id and t.what = 'repeats'), 0) as repeats
    from job j;
