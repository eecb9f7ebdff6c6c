-- How far the corners of an end are swept; the newest row counts.
create table sweep_plan (
  id          char(36) character set ascii not null primary key,
  shop_id     char(36) character set ascii not null references shop (id),
  vehicle_id  char(36) character set ascii not null references vehicle (id),
  end_of      varchar(5) not null,
  stands_mm   decimal(6, 2) not null,
  lower_mm    decimal(6, 2) not null,
  stop_mm     decimal(6, 2) not null,
  crush_mm    decimal(6, 2) not null,
  droop_mm    decimal(6, 2) not null,
  inner_deg   decimal(5, 2) not null,
  outer_deg   decimal(5, 2) not null,
  roll_deg    decimal(5, 2) not null,
  camber_deg  decimal(5, 2) not null,
  camber_rate decimal(6, 3) not null,
  steer_rate  decimal(6, 3) not null,
  axis_mm     decimal(6, 2) not null,
  chains      boolean not null,
  person_id   char(36) character set ascii not null references person (id),
  made_at     datetime(6) not null,
  key sweep_plan_of_vehicle (vehicle_id, end_of, made_at)
);

-- Remedies that were taken into the plan of a corner.
create table remedy_taken (
  id         char(36) character set ascii not null primary key,
  shop_id    char(36) character set ascii not null references shop (id),
  vehicle_id char(36) character set ascii not null references vehicle (id),
  corner     varchar(2) not null,
  remedy     varchar(20) not null,
  steps      int not null,
  in_use     boolean not null,
  person_id  char(36) character set ascii not null references person (id),
  made_at    datetime(6) not null,
  key remedy_of_vehicle (vehicle_id, corner, made_at)
);

-- Drives, with the wheels and the height that were driven and how far each corner was taken.
create table road_test (
  id             char(36) character set ascii not null primary key,
  shop_id        char(36) character set ascii not null references shop (id),
  vehicle_id     char(36) character set ascii not null references vehicle (id),
  bump_lf        decimal(6, 2) not null,
  bump_rf        decimal(6, 2) not null,
  bump_rr        decimal(6, 2) not null,
  bump_lr        decimal(6, 2) not null,
  locks          boolean not null,
  hung           boolean not null,
  lean_deg       decimal(4, 2) not null,
  note           varchar(200) not null,
  front_tyre     varchar(40) not null,
  front_wheel    varchar(40) not null,
  front_spacer   bigint not null,
  front_lower_mm decimal(6, 2) not null,
  rear_tyre      varchar(40) not null,
  rear_wheel     varchar(40) not null,
  rear_spacer    bigint not null,
  rear_lower_mm  decimal(6, 2) not null,
  in_use         boolean not null,
  person_id      char(36) character set ascii not null references person (id),
  made_at        datetime(6) not null,
  key road_test_of_vehicle (vehicle_id, made_at)
);

-- What a drive left on paint, clay, tape or chalk.
create table road_mark (
  id           char(36) character set ascii not null primary key,
  shop_id      char(36) character set ascii not null references shop (id),
  road_test_id char(36) character set ascii not null references road_test (id),
  corner       varchar(2) not null,
  place        varchar(20) not null,
  clock        decimal(4, 2) not null,
  face         varchar(20) not null,
  seen_on      varchar(10) not null,
  in_use       boolean not null,
  person_id    char(36) character set ascii not null references person (id),
  made_at      datetime(6) not null,
  key road_mark_of_test (road_test_id, made_at)
);

-- What lies low under a vehicle, its lamps, and how far its nose lifts.
create table low_point (
  id         char(36) character set ascii not null primary key,
  shop_id    char(36) character set ascii not null references shop (id),
  vehicle_id char(36) character set ascii not null references vehicle (id),
  kind       varchar(12) not null,
  name       varchar(40) not null,
  along_raw  varchar(40) not null,
  along_nm   bigint not null,
  height_raw varchar(40) not null,
  height_nm  bigint not null,
  front_stood_mm decimal(6, 2) not null,
  rear_stood_mm  decimal(6, 2) not null,
  in_use     boolean not null,
  person_id  char(36) character set ascii not null references person (id),
  made_at    datetime(6) not null,
  key low_point_of_vehicle (vehicle_id, made_at)
);

-- Ground that a vehicle has to pass, drawn by a few points.
create table own_ground (
  id         char(36) character set ascii not null primary key,
  shop_id    char(36) character set ascii not null references shop (id),
  vehicle_id char(36) character set ascii not null references vehicle (id),
  name       varchar(40) not null,
  points     varchar(600) not null,
  in_use     boolean not null,
  person_id  char(36) character set ascii not null references person (id),
  made_at    datetime(6) not null,
  key own_ground_of_vehicle (vehicle_id, made_at)
);

-- How much air a shop wants at a place; the newest row of a place counts, an empty text is common practice.
create table needed_gap (
  id        char(36) character set ascii not null primary key,
  shop_id   char(36) character set ascii not null references shop (id),
  place     varchar(20) not null,
  gap_raw   varchar(40) not null,
  gap_nm    bigint not null,
  person_id char(36) character set ascii not null references person (id),
  made_at   datetime(6) not null,
  key needed_gap_of_shop (shop_id, place, made_at)
);

-- How much lower than when it was first probed the vehicle stood; probes so far were all taken before that was asked.
alter table probe add column stood_mm decimal(6, 2) not null default 0;
