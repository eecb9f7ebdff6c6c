-- The record of who did what is only ever added to: the database itself refuses all else, and each row carries a digest over
-- itself and the one before, so that a row that was changed or is missing is seen. One counter a shop, which is locked while a
-- row is added. Rows of before have no digest.
alter table audit add column chain binary(32) null;

create table audit_head (
  shop_id char(36) character set ascii not null primary key references shop (id),
  n       bigint not null,
  chain   binary(32) not null
);

create trigger audit_stays before update on audit for each row
  signal sqlstate '45000' set message_text = 'the record is only ever added to';

create trigger audit_is_kept before delete on audit for each row
  signal sqlstate '45000' set message_text = 'the record is only ever added to';
