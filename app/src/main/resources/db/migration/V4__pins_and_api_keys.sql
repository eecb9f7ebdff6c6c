-- A PIN changes hands on a device where somebody of the shop is signed in already; kept as a hash, null until it is set.
alter table person add column pin_hash varchar(200) null;

-- A key of another program. Only the hash is kept; the hint tells the keys apart in the list.
create table api_key (
  id         char(36) character set ascii not null primary key,
  shop_id    char(36) character set ascii not null references shop (id),
  name       varchar(80) not null,
  hint       varchar(8) not null,
  key_hash   char(64) character set ascii not null unique,
  made_at    datetime(6) not null,
  made_by    char(36) character set ascii not null references person (id),
  revoked_at datetime(6) null,
  key api_key_of_shop (shop_id, made_at)
);
