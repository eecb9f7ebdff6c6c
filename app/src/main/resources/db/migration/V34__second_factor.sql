-- A code from a person's phone, asked for beside the password (RFC 6238), and the codes for when the phone is gone.
create table second_factor (
  person_id char(36) character set ascii not null primary key references person (id),
  shop_id   char(36) character set ascii not null references shop (id),
  secret    varchar(64) character set ascii not null,
  -- The last half minute whose code was taken: none is taken twice.
  last_step bigint not null
);

create table recovery_code (
  person_id char(36) character set ascii not null references person (id),
  shop_id   char(36) character set ascii not null references shop (id),
  digest    binary(32) not null,
  primary key (person_id, digest)
);
