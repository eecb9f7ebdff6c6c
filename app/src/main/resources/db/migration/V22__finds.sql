-- Where a stay can be found by changes with its job and its vehicle: counted for the shop, as V15 counts the rest.
create trigger finds_job_new after insert on job for each row
  insert into stamp (of_id, what, n) values (new.shop_id, 'finds', 1) on duplicate key update n = n + 1;
create trigger finds_job after update on job for each row
  insert into stamp (of_id, what, n) values (new.shop_id, 'finds', 1) on duplicate key update n = n + 1;
create trigger finds_vehicle after update on vehicle for each row
  insert into stamp (of_id, what, n) values (new.shop_id, 'finds', 1) on duplicate key update n = n + 1;
