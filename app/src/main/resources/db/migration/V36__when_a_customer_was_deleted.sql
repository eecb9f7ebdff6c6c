-- When a stay's customer was deleted: what was typed on a device before that is not brought back into the form.
alter table job add column blanked_at datetime(6) null;
