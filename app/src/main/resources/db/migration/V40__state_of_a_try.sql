-- In which state the heights before a move were measured: the last entry of the sheet's state then, null where nobody knows.
alter table setting_move add column said int null;
