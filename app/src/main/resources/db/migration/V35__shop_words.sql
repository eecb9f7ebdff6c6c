-- Where more than one shop lives, a name is one's own within the shop: "orla@second-yard". What another shop calls its people
-- is then neither taken nor told. Names of before stay as they are.
alter table shop add column sign_in_word varchar(18) character set ascii null unique;

update shop set sign_in_word = concat('shop-', right(id, 12)) where (select n from (select count(*) n from shop) shops) > 1;
