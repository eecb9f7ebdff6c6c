-- What a device keeps for a person while there is no network is sealed with this; only that person's pages carry it.
alter table person add column device_key char(44) character set ascii null;
update person set device_key = to_base64(random_bytes(32));
