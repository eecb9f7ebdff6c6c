-- A handed-over sheet as paper, made once: when it is handed over. One whose customer was deleted since is made once more,
-- without the name, and says so; until then its body is null.
create table sheet_paper (
  shop_id        char(36) character set ascii not null references shop (id),
  handed_over_id char(36) character set ascii not null references handed_over (id),
  size           varchar(8) not null,
  blanked_at     datetime(6) null,
  body           mediumblob null,
  primary key (handed_over_id, size)
);
