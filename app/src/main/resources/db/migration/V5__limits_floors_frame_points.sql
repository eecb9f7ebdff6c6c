-- What a shop calls good, where it differs from the usual; as typed and exact.
create table shop_limit (
  shop_id char(36) character set ascii not null references shop (id),
  name    varchar(20) not null,
  raw     varchar(40) not null,
  nm      bigint not null,
  primary key (shop_id, name)
);

-- Floor surveys, appended only: each bay's newest that was true on a day counts. Empty pads take the bay's survey back.
create table floor_survey (
  id        char(36) character set ascii not null primary key,
  shop_id   char(36) character set ascii not null references shop (id),
  bay       varchar(20) not null,
  bay_key   varchar(20) not null,
  since     date null,
  person_id char(36) character set ascii not null references person (id),
  made_at   datetime(6) not null,
  key survey_of_shop (shop_id, bay_key, made_at)
);

create table floor_pad (
  survey_id char(36) character set ascii not null references floor_survey (id),
  corner    varchar(2) not null,
  raw       varchar(40) not null,
  nm        bigint not null,
  primary key (survey_id, corner)
);

-- What the points are called between which rake is taken.
alter table vehicle
  add column frame_front varchar(60) not null default '',
  add column frame_rear varchar(60) not null default '';
