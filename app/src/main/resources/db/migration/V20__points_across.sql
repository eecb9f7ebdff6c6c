-- A point of the shop that is read across the vehicle.
alter table point add column sideways boolean not null default false;
