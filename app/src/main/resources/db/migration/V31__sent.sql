-- What was sent under an id of its own, so that it counts once: a row comes to be in the transaction of the act itself. Keyed
-- by a digest over who sent it, where to, the id and what; the answer is sealed under the id, which is kept nowhere here.
create table sent (
  id     binary(32) not null primary key,
  at     datetime(6) not null,
  answer mediumblob null,
  key sent_at (at)
);
