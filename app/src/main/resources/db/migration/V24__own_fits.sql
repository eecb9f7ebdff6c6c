-- By how much more than printed a kit came down at an end of a vehicle that was handed over: what the next plan with it learns
-- from. The newest row of a stay and an end counts; one without a figure takes it back.
create table kit_fit (
  seq      bigint not null auto_increment primary key,
  shop_id  char(36) character set ascii not null references shop (id),
  job_id   char(36) character set ascii not null references job (id),
  name     varchar(80) not null,
  kind     varchar(12) not null,
  end_of   varchar(5) not null,
  more     double null,
  standard double null,
  made_at  datetime(6) not null,
  key kit_fit_of_kit (shop_id, name, kind)
);

create trigger kit_fit_insert after insert on kit_fit for each row
  insert into stamp (of_id, n) values (new.shop_id, 1) on duplicate key update n = n + 1;
