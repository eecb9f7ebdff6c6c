-- The order in which the server took things is a number of its own: clocks, the device's and the computer's, may go back.
-- What was read also says when it came in, beside when the device says that it was typed.
alter table reading add column nr bigint null, add column came_at datetime(6) null;
update reading r join (select id, row_number() over (order by taken_at, id) n from reading) o on o.id = r.id
   set r.nr = o.n, r.came_at = r.taken_at;
alter table reading modify nr bigint not null auto_increment, add unique key reading_in_order (nr),
      modify came_at datetime(6) not null;

alter table probe add column nr bigint null;
update probe r join (select id, row_number() over (order by made_at, id) n from probe) o on o.id = r.id set r.nr = o.n;
alter table probe modify nr bigint not null auto_increment, add unique key probe_in_order (nr);

alter table sweep_plan add column nr bigint null;
update sweep_plan r join (select id, row_number() over (order by made_at, id) n from sweep_plan) o on o.id = r.id set r.nr = o.n;
alter table sweep_plan modify nr bigint not null auto_increment, add unique key sweep_plan_in_order (nr);

alter table remedy_taken add column nr bigint null;
update remedy_taken r join (select id, row_number() over (order by made_at, id) n from remedy_taken) o on o.id = r.id set r.nr = o.n;
alter table remedy_taken modify nr bigint not null auto_increment, add unique key remedy_taken_in_order (nr);

alter table road_test add column nr bigint null;
update road_test r join (select id, row_number() over (order by made_at, id) n from road_test) o on o.id = r.id set r.nr = o.n;
alter table road_test modify nr bigint not null auto_increment, add unique key road_test_in_order (nr);

alter table road_mark add column nr bigint null;
update road_mark r join (select id, row_number() over (order by made_at, id) n from road_mark) o on o.id = r.id set r.nr = o.n;
alter table road_mark modify nr bigint not null auto_increment, add unique key road_mark_in_order (nr);

alter table low_point add column nr bigint null;
update low_point r join (select id, row_number() over (order by made_at, id) n from low_point) o on o.id = r.id set r.nr = o.n;
alter table low_point modify nr bigint not null auto_increment, add unique key low_point_in_order (nr);

alter table needed_gap add column nr bigint null;
update needed_gap r join (select id, row_number() over (order by made_at, id) n from needed_gap) o on o.id = r.id set r.nr = o.n;
alter table needed_gap modify nr bigint not null auto_increment, add unique key needed_gap_in_order (nr);

alter table wheel_set add column nr bigint null;
update wheel_set r join (select id, row_number() over (order by made_at, id) n from wheel_set) o on o.id = r.id set r.nr = o.n;
alter table wheel_set modify nr bigint not null auto_increment, add unique key wheel_set_in_order (nr);

alter table point add column nr bigint null;
update point r join (select id, row_number() over (order by made_at, id) n from point) o on o.id = r.id set r.nr = o.n;
alter table point modify nr bigint not null auto_increment, add unique key point_in_order (nr);

alter table floor_survey add column nr bigint null;
update floor_survey r join (select id, row_number() over (order by made_at, id) n from floor_survey) o on o.id = r.id set r.nr = o.n;
alter table floor_survey modify nr bigint not null auto_increment, add unique key floor_survey_in_order (nr);

alter table kit add column nr bigint null;
update kit r join (select id, row_number() over (order by made_at, id) n from kit) o on o.id = r.id set r.nr = o.n;
alter table kit modify nr bigint not null auto_increment, add unique key kit_in_order (nr);

alter table job add column nr bigint null;
update job r join (select id, row_number() over (order by arrived_at, id) n from job) o on o.id = r.id set r.nr = o.n;
alter table job modify nr bigint not null auto_increment, add unique key job_in_order (nr);

alter table own_ground add column nr bigint null;
update own_ground r join (select id, row_number() over (order by made_at, id) n from own_ground) o on o.id = r.id set r.nr = o.n;
alter table own_ground modify nr bigint not null auto_increment, add unique key own_ground_in_order (nr);
