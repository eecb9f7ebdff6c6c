-- How low a vehicle stood when something was measured is told by its sheets: each measure says on which.
alter table probe add column sheet_id char(36) character set ascii null references sheet (id);
alter table road_test add column sheet_id char(36) character set ascii null references sheet (id);
alter table low_point add column sheet_id char(36) character set ascii null references sheet (id);

update probe b set sheet_id = (
  select s.id from sheet s join job j on j.id = s.job_id
   where j.vehicle_id = b.vehicle_id and s.made_at <= b.made_at order by s.made_at desc, s.seq desc limit 1);
update road_test b set sheet_id = (
  select s.id from sheet s join job j on j.id = s.job_id
   where j.vehicle_id = b.vehicle_id and s.made_at <= b.made_at order by s.made_at desc, s.seq desc limit 1);
update low_point b set sheet_id = (
  select s.id from sheet s join job j on j.id = s.job_id
   where j.vehicle_id = b.vehicle_id and s.made_at <= b.made_at order by s.made_at desc, s.seq desc limit 1);

-- What somebody typed of it goes; how low it is planned counts from as arrived, and null follows what stands.
alter table sweep_plan modify lower_mm decimal(6, 2) null;
update sweep_plan set lower_mm = null where lower_mm = stands_mm;
alter table sweep_plan drop column stands_mm;
alter table probe drop column stood_mm;
alter table low_point drop column front_stood_mm;
alter table low_point drop column rear_stood_mm;
