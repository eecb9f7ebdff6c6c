-- A wheel stands in a corner, or on a single track at an end: its two were filed under the left corners.
alter table probe modify corner varchar(5) character set ascii not null;
alter table remedy_taken modify corner varchar(5) character set ascii not null;
alter table road_mark modify corner varchar(5) character set ascii not null;
alter table road_bump modify corner varchar(5) character set ascii not null;

update probe b join vehicle v on v.id = b.vehicle_id
   set b.corner = if(b.corner = 'LF', 'FRONT', 'REAR') where v.kind = 'MOTORCYCLE';
update remedy_taken t join vehicle v on v.id = t.vehicle_id
   set t.corner = if(t.corner = 'LF', 'FRONT', 'REAR') where v.kind = 'MOTORCYCLE';
update road_mark m join road_test r on r.id = m.road_test_id join vehicle v on v.id = r.vehicle_id
   set m.corner = if(m.corner = 'LF', 'FRONT', 'REAR') where v.kind = 'MOTORCYCLE';
update road_bump b join road_test r on r.id = b.road_test_id join vehicle v on v.id = r.vehicle_id
   set b.corner = if(b.corner = 'LF', 'FRONT', 'REAR') where v.kind = 'MOTORCYCLE';
