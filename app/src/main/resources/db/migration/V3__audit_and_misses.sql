-- Who did what that matters outside the work itself; never personal data of customers.
create table audit (
  id        bigint not null auto_increment primary key,
  shop_id   char(36) character set ascii not null references shop (id),
  person_id char(36) character set ascii null references person (id),
  what      varchar(24) not null,
  detail    varchar(200) not null,
  at        datetime(6) not null,
  key audit_of_shop (shop_id, id)
);

-- Sign-ins that missed, by the name that was typed and the address it came from.
create table sign_in_miss (
  id      bigint not null auto_increment primary key,
  name    varchar(60) not null,
  address varchar(60) not null,
  at      datetime(6) not null,
  key miss_of (name, address, at)
);
