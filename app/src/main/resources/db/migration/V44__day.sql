-- When a shop works; one that said nothing works as most do.
create table shop_hours (
  shop_id    char(36) character set ascii not null primary key references shop (id),
  opens      time not null,
  closes     time not null,
  pause_from time null,
  pause_to   time null,
  delivery   time not null,
  weekdays   varchar(13) character set ascii not null,
  zone       varchar(40) character set ascii not null,
  version    int not null
);

-- Who is away; nobody named is the whole shop. Times are those of each of the days, none for all of it.
create table absence (
  id           char(36) character set ascii not null primary key,
  shop_id      char(36) character set ascii not null references shop (id),
  away_id      char(36) character set ascii null references person (id),
  first_day    date not null,
  last_day     date not null,
  from_time    time null,
  to_time      time null,
  person_id    char(36) character set ascii not null references person (id),
  made_at      datetime(6) not null,
  withdrawn_at datetime(6) null,
  key absence_of_shop (shop_id, last_day)
);

-- What was agreed with the customer: when the vehicle comes, and by when it is promised; the newest counts.
create table agreed (
  seq       bigint not null auto_increment primary key,
  shop_id   char(36) character set ascii not null references shop (id),
  job_id    char(36) character set ascii not null references job (id),
  comes     datetime(6) null,
  ready     datetime(6) null,
  person_id char(36) character set ascii not null references person (id),
  made_at   datetime(6) not null,
  key agreed_of_job (job_id, seq),
  key agreed_of_shop (shop_id, seq)
);

-- What somebody set by hand for a day; of each job the newest counts.
create table day_wish (
  seq       bigint not null auto_increment primary key,
  shop_id   char(36) character set ascii not null references shop (id),
  day       date not null,
  job_id    char(36) character set ascii not null references job (id),
  what      varchar(4) character set ascii not null,
  bay       varchar(20) not null,
  lead_id   char(36) character set ascii null references person (id),
  at        datetime(6) null,
  person_id char(36) character set ascii not null references person (id),
  made_at   datetime(6) not null,
  key day_wish_of_day (shop_id, day, seq)
);

-- A day as it was planned last.
create table day_plan (
  shop_id   char(36) character set ascii not null references shop (id),
  day       date not null,
  version   int not null,
  cost      bigint not null,
  bound     double null,
  unit      bigint not null,
  put_job   char(36) character set ascii null references job (id),
  person_id char(36) character set ascii not null references person (id),
  made_at   datetime(6) not null,
  primary key (shop_id, day)
);

create table day_job (
  shop_id   char(36) character set ascii not null references shop (id),
  day       date not null,
  job_id    char(36) character set ascii not null references job (id),
  work      varchar(6) character set ascii not null,
  bay       varchar(20) not null,
  lead_id   char(36) character set ascii null references person (id),
  begun     boolean not null,
  put       boolean not null,
  typical   boolean not null,
  promised  datetime(6) null,
  least     datetime(6) null,
  most      datetime(6) null,
  kept      double not null,
  why       varchar(12) character set ascii not null,
  need      int not null,
  have      int not null,
  was_ready datetime(6) null,
  was_left  boolean not null,
  primary key (shop_id, day, job_id)
);

create table day_stint (
  shop_id   char(36) character set ascii not null references shop (id),
  day       date not null,
  job_id    char(36) character set ascii not null references job (id),
  n         int not null,
  starts    datetime(6) not null,
  ends      datetime(6) not null,
  helper_id char(36) character set ascii null references person (id),
  primary key (shop_id, day, job_id, n)
);

-- Secret addresses under which other programs read a calendar: of one person, or of the whole shop.
create table calendar_link (
  id         char(36) character set ascii not null primary key,
  shop_id    char(36) character set ascii not null references shop (id),
  of_id      char(36) character set ascii null references person (id),
  hash       char(64) character set ascii not null,
  made_by    char(36) character set ascii not null references person (id),
  made_at    datetime(6) not null,
  revoked_at datetime(6) null,
  unique key calendar_link_hash (hash),
  key calendar_link_of_shop (shop_id)
);
