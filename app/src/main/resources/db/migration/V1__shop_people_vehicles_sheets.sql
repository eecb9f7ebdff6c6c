-- Every row belongs to a shop. Instants are UTC. Readings are append-only: nothing in reading, state_entry or
-- handed_over is ever updated; what is current is what no later row supersedes.
create table shop (
  id   char(36) character set ascii not null primary key,
  name varchar(120) not null
);

create table person (
  id            char(36) character set ascii not null primary key,
  shop_id       char(36) character set ascii not null references shop (id),
  sign_in_name  varchar(60) not null unique,
  display_name  varchar(120) not null,
  initials      varchar(4) not null,
  role          varchar(12) not null,
  password_hash varchar(200) not null,
  must_change   boolean not null,
  active        boolean not null,
  unit          varchar(2) not null,
  tape          varchar(10) not null,
  zone          varchar(60) not null,
  theme         varchar(6) not null,
  single_keys   boolean not null,
  key person_of_shop (shop_id)
);

create table vehicle (
  id         char(36) character set ascii not null primary key,
  shop_id    char(36) character set ascii not null references shop (id),
  plate      varchar(20) not null,
  plate_key  varchar(20) not null,
  kind       varchar(12) not null,
  shape      varchar(12) not null,
  name       varchar(120) not null,
  arch_front varchar(20) not null,
  arch_rear  varchar(20) not null,
  tyre_front varchar(40) not null,
  tyre_rear  varchar(40) not null,
  unique key plate_of_shop (shop_id, plate_key)
);

-- Named measures of a vehicle (wheelbase, tracks, tyre diameters), as typed and exact.
create table vehicle_measure (
  vehicle_id char(36) character set ascii not null references vehicle (id),
  name       varchar(24) not null,
  raw        varchar(40) not null,
  nm         bigint not null,
  primary key (vehicle_id, name)
);

create table job (
  id            char(36) character set ascii not null primary key,
  shop_id       char(36) character set ascii not null references shop (id),
  vehicle_id    char(36) character set ascii not null references vehicle (id),
  customer      varchar(120) not null,
  contact       varchar(120) not null,
  wish          varchar(400) not null,
  usage_text    varchar(400) not null,
  odometer      varchar(20) not null,
  worn          varchar(1000) not null,
  changed       varchar(1000) not null,
  kit           varchar(200) not null,
  place         varchar(10) not null,
  bay           varchar(20) not null,
  holder_id     char(36) character set ascii null references person (id),
  due_back      date null,
  arrived_at    datetime(6) not null,
  key job_of_shop (shop_id, place),
  key job_of_vehicle (vehicle_id)
);

create table job_advertised (
  job_id    char(36) character set ascii not null references job (id),
  end_code  varchar(6) not null,
  least_raw varchar(40) not null,
  least_nm  bigint not null,
  most_raw  varchar(40) not null,
  most_nm   bigint not null,
  primary key (job_id, end_code)
);

create table sheet (
  id          char(36) character set ascii not null primary key,
  shop_id     char(36) character set ascii not null references shop (id),
  job_id      char(36) character set ascii not null references job (id),
  seq         int not null,
  stage       varchar(20) not null,
  baseline_id char(36) character set ascii null references sheet (id),
  unit        varchar(2) not null,
  tape        varchar(10) not null,
  made_at     datetime(6) not null,
  made_by     char(36) character set ascii not null references person (id),
  unique key sheet_of_job (job_id, seq)
);

create table reading (
  id         char(36) character set ascii not null primary key,
  shop_id    char(36) character set ascii not null references shop (id),
  sheet_id   char(36) character set ascii not null references sheet (id),
  client_id  char(36) character set ascii not null,
  person_id  char(36) character set ascii not null references person (id),
  corner     varchar(4) not null,
  method     varchar(8) not null,
  act        varchar(8) not null,
  raw        varchar(40) null,
  bare_unit  varchar(2) not null,
  tape       varchar(10) not null,
  value_nm   bigint null,
  supersedes char(36) character set ascii null references reading (id),
  restores   char(36) character set ascii null references reading (id),
  taken_at   datetime(6) not null,
  unique key once (shop_id, client_id),
  unique key replaced_once (supersedes),
  key reading_of_sheet (sheet_id, taken_at)
);

create table state_entry (
  id        bigint not null auto_increment primary key,
  shop_id   char(36) character set ascii not null references shop (id),
  sheet_id  char(36) character set ascii not null references sheet (id),
  item      varchar(20) not null,
  raw       varchar(80) not null,
  person_id char(36) character set ascii not null references person (id),
  said_at   datetime(6) not null,
  key state_of_sheet (sheet_id, id)
);

create table handed_over (
  id        char(36) character set ascii not null primary key,
  shop_id   char(36) character set ascii not null references shop (id),
  job_id    char(36) character set ascii not null references job (id),
  version   int not null,
  made_at   datetime(6) not null,
  person_id char(36) character set ascii not null references person (id),
  inputs    mediumtext not null,
  body      mediumtext not null,
  unique key version_of_job (job_id, version)
);
