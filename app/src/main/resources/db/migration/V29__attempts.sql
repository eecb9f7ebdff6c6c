-- How often something was tried at a door: a row a name and address, counted up before what was brought is looked at. Names
-- that the sign-in takes for one are one row, by the same collation.
drop table sign_in_miss;
create table attempt (
  name    varchar(120) not null,
  address varchar(60) not null,
  n       int not null,
  at      datetime(6) not null,
  primary key (name, address),
  key attempt_at (at)
);
