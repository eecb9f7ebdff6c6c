-- How far a wheel goes: what nobody measured stays empty and counts as usual. Whoever saved a plan saved the usual values with it;
-- those that stand at them were most likely never measured. Lengths keep what a tape reads.
alter table sweep_plan
  modify lower_mm decimal(10, 6) null,
  modify stop_mm decimal(10, 6) null,
  modify crush_mm decimal(10, 6) null,
  modify droop_mm decimal(10, 6) null,
  modify inner_deg decimal(5, 2) null,
  modify outer_deg decimal(5, 2) null,
  modify roll_deg decimal(5, 2) null,
  modify camber_deg decimal(5, 2) null,
  modify camber_rate decimal(6, 3) null,
  modify steer_rate decimal(6, 3) null,
  modify axis_mm decimal(10, 6) null;
update sweep_plan set stop_mm = null where stop_mm = 45;
update sweep_plan set crush_mm = null where crush_mm = 25;
update sweep_plan set droop_mm = null where droop_mm = 60;
update sweep_plan set inner_deg = null where inner_deg in (0, 38);
update sweep_plan set outer_deg = null where outer_deg in (0, 32, 38);
update sweep_plan set roll_deg = null where roll_deg in (0, 3);
update sweep_plan set camber_deg = null where camber_deg = 0;
update sweep_plan set camber_rate = null where camber_rate = 0;
update sweep_plan set steer_rate = null where steer_rate = 0;
update sweep_plan set axis_mm = null where axis_mm = 60;

-- Where on the tyre a gap was read, by tape: along the tread from 12 o'clock, and across the face.
alter table probe
  add column along_raw varchar(40) null,
  add column across_raw varchar(40) null,
  add column across_nm bigint null;
