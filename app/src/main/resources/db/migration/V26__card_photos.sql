-- Photos of a step, upright and without what the camera wrote into them.
create table card_photo (
  id        char(36) character set ascii not null primary key,
  shop_id   char(36) character set ascii not null references shop (id),
  job_id    char(36) character set ascii not null references job (id),
  step      varchar(64) not null,
  body      mediumblob not null,
  person_id char(36) character set ascii not null references person (id),
  made_at   datetime(6) not null,
  key card_photo_of_job (job_id)
);

create trigger card_photo_insert after insert on card_photo for each row
  insert into stamp (of_id, n) select vehicle_id, 1 from job where id = new.job_id on duplicate key update n = n + 1;
