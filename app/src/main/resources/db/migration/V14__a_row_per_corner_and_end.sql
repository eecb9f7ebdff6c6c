-- What a vehicle has more than once is a row, whatever it has: a motorcycle has no right corners to fill.
create table road_bump (
  shop_id      char(36) character set ascii not null,
  road_test_id char(36) character set ascii not null,
  corner       varchar(2) character set ascii not null,
  bump_mm      decimal(6, 2) not null,
  primary key (road_test_id, corner),
  foreign key (road_test_id) references road_test (id),
  foreign key (shop_id) references shop (id)
);
create table road_fitment (
  shop_id      char(36) character set ascii not null,
  road_test_id char(36) character set ascii not null,
  end_of       varchar(5) character set ascii not null,
  tyre         varchar(40) not null,
  wheel        varchar(40) not null,
  spacer       bigint not null,
  lower_mm     decimal(6, 2) not null,
  primary key (road_test_id, end_of),
  foreign key (road_test_id) references road_test (id),
  foreign key (shop_id) references shop (id)
);

insert into road_bump select shop_id, id, 'LF', bump_lf from road_test;
insert into road_bump select shop_id, id, 'LR', bump_lr from road_test;
insert into road_bump select r.shop_id, r.id, 'RF', r.bump_rf
  from road_test r join vehicle v on v.id = r.vehicle_id where v.kind <> 'MOTORCYCLE';
insert into road_bump select r.shop_id, r.id, 'RR', r.bump_rr
  from road_test r join vehicle v on v.id = r.vehicle_id where v.kind <> 'MOTORCYCLE';
insert into road_fitment select shop_id, id, 'FRONT', front_tyre, front_wheel, front_spacer, front_lower_mm from road_test;
insert into road_fitment select shop_id, id, 'REAR', rear_tyre, rear_wheel, rear_spacer, rear_lower_mm from road_test;

alter table road_test
  drop column bump_lf, drop column bump_rf, drop column bump_rr, drop column bump_lr,
  drop column front_tyre, drop column front_wheel, drop column front_spacer, drop column front_lower_mm,
  drop column rear_tyre, drop column rear_wheel, drop column rear_spacer, drop column rear_lower_mm;
